package underhand.format.text;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import underhand.chart.Bar;
import underhand.chart.Chart;
import underhand.chart.Metre;
import underhand.chart.Placement;
import underhand.chart.Section;
import underhand.chord.ChordSymbol;

/** Names and words out of files are read back as names and words, whatever they look like. */
class ChartNamesTest {

    private static final List<String> HOSTILE = List.of(
            "A",
            "G7",
            "[D]",
            "{key: D}",
            "key: D",
            "tempo: 200",
            "| C | F |",
            "Chorus:",
            "[Verse]\n[E]",
            "title: mine",
            "A  D",
            "tune: C4 D4",
            "%",
            "x3",
            "|: E :|",
            "\u0000\u0007",
            "capo: 3\nkey: F",
            "N.C.",
            "la la",
            "metre: 3/4");

    private static Chart chart(String title, String section, String lyric, String nextLyric) {
        Optional<ChordSymbol> chord = Optional.of(ChordSymbol.parse("Bm7"));
        Bar first = new Bar(Metre.COMMON, List.of(new Placement(chord, 1, 4, lyric)));
        Bar second = new Bar(Metre.COMMON, List.of(new Placement(chord, 1, 4, nextLyric)));
        return new Chart(
                title,
                Optional.empty(),
                Metre.COMMON,
                OptionalInt.empty(),
                OptionalInt.empty(),
                Optional.empty(),
                List.of(new Section(section, Optional.empty(), List.of(first, second))));
    }

    @Test
    void write_hostileNamesAndWords_addNoChordSectionOrHeader() {
        Random random = new Random(1301);
        for (int i = 0; i < 2000; i++) {
            String title = HOSTILE.get(random.nextInt(HOSTILE.size()));
            String section = HOSTILE.get(random.nextInt(HOSTILE.size()));
            String lyric = HOSTILE.get(random.nextInt(HOSTILE.size()));
            String next = HOSTILE.get(random.nextInt(HOSTILE.size()));
            String text = ChartTextWriter.write(chart(title, section, lyric, next));
            Chart read = ChartTextReader.read(text).chart();
            String of = "seed 1301, case " + i + ":\n" + text;
            assertEquals(2, read.placements().size(), of);
            assertTrue(
                    read.placements().stream()
                            .allMatch(p -> p.placement()
                                    .chord()
                                    .orElseThrow()
                                    .toString()
                                    .equals("Bm7")),
                    of);
            assertEquals(1, read.sections().size(), of);
            assertEquals(Metre.COMMON, read.metre(), of);
            assertTrue(
                    read.tempo().isEmpty()
                            && read.capo().isEmpty()
                            && read.key().isEmpty(),
                    of);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "A, A:",
        "B, B:",
        "Verse 2, [Verse 2]",
        "Am7, Am7:",
        "[Solo], [(Solo)]",
        "Chorus x2, [Part Chorus  2]",
        "key, [key]"
    })
    void section_aRehearsalMark_isNeverAChord(String mark, String line) {
        assertEquals(Optional.of(line), ChartNames.section(mark));
    }
}
