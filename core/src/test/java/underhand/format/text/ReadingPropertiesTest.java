package underhand.format.text;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTimeoutPreemptively;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import underhand.chart.Bar;
import underhand.chart.Chart;
import underhand.chart.Metre;
import underhand.chart.Placement;
import underhand.chart.Section;
import underhand.chart.TuneNote;
import underhand.chord.ChordSymbol;
import underhand.pitch.Key;
import underhand.pitch.Pitch;

/** What holds of every chart: nothing typed is lost, what is offered settles, what is written is read back. */
class ReadingPropertiesTest {

    static List<CorpusTest.Case> cases() {
        return CorpusTest.cases().toList();
    }

    private static String shown(Chart chart) {
        return String.join("\n", Shown.of(new ChartReading(chart, List.of(), List.of(), List.of())));
    }

    @ParameterizedTest
    @MethodSource("cases")
    void write_everyChartOfTheCorpus_isReadBackTheSame(CorpusTest.Case one) {
        Chart chart = ChartTextReader.read(one.text()).chart();
        String text = ChartTextWriter.write(chart);
        ChartReading again = ChartTextReader.read(text);
        assertEquals(shown(chart), shown(again.chart()), text);
    }

    /** One click settles a place: the edit takes its fault away. */
    @ParameterizedTest
    @MethodSource("cases")
    void mends_everyOneOffered_settlesItsPlace(CorpusTest.Case one) {
        ChartReading reading = ChartTextReader.read(one.text());
        for (Fault fault : reading.faults()) {
            for (Fault.Mend mend : fault.mends()) {
                String mended = apply(mend, one.text());
                ChartReading after = ChartTextReader.read(mended);
                assertTrue(after.unsure() < reading.unsure(), mend.label() + "\n" + mended + "\n" + Shown.of(after));
            }
        }
    }

    private static String apply(Fault.Mend mend, String text) {
        List<String> lines = List.of(text.split("\n", -1));
        String before = lines.subList(0, mend.fromLine() - 1).stream()
                .map(l -> l + "\n")
                .collect(Collectors.joining());
        String after = lines.subList(mend.toLine(), lines.size()).stream()
                .map(l -> "\n" + l)
                .collect(Collectors.joining());
        return before
                + lines.get(mend.fromLine() - 1).substring(0, mend.fromColumn() - 1)
                + mend.text()
                + lines.get(mend.toLine() - 1).substring(mend.toColumn() - 1)
                + after;
    }

    /** An odd word put into a line of chords is reported there and changes no other line. */
    @ParameterizedTest
    @MethodSource("cases")
    void read_anOddWordMoreInALineOfChords_changesNothingElse(CorpusTest.Case one) {
        List<String> lines = List.of(one.text().split("\n", -1));
        for (int i = 0; i < lines.size(); i++) {
            Line line = new LineReader(Spelling.ENGLISH).read(SourceLine.of(1, lines.get(i)));
            boolean manyChords = line.kind() == Line.Kind.CHORDS
                    && line.count(Piece.Kind.CHORD)
                            >= 2 * (1 + LineReader.oddWords(line) + line.count(Piece.Kind.UNREAD));
            if (!manyChords || !line.source().text().equals(lines.get(i))) {
                continue;
            }
            List<String> other = new ArrayList<>(lines);
            other.set(i, lines.get(i).stripTrailing() + "  quickly");
            ChartReading before = ChartTextReader.read(one.text());
            ChartReading after = ChartTextReader.read(String.join("\n", other));
            assertEquals(shown(before.chart()), shown(after.chart()), String.join("\n", other));
            int at = i + 1;
            assertTrue(after.faults().stream()
                    .anyMatch(f -> f.line() == at && f.input().contains("quickly")));
        }
    }

    /** Every text gives a chart whose spans and faults lie in it; nothing takes long. */
    @Test
    void read_seededMixesOfTheCorpus_stayInTheirText() {
        Random random = new Random(1801);
        List<CorpusTest.Case> cases = cases();
        for (int i = 0; i < 1500; i++) {
            StringBuilder text = new StringBuilder();
            for (int n = 1 + random.nextInt(4); n > 0; n--) {
                text.append(cases.get(random.nextInt(cases.size())).text()).append('\n');
            }
            int at = random.nextInt(text.length());
            text.insert(at, "[]{}|:%/.-()x2 \tH".charAt(random.nextInt(17)));
            ChartReading reading = ChartTextReader.read(text.toString());
            List<String> lines = text.toString().lines().toList();
            for (ChartReading.Span span : reading.spans()) {
                int length = lines.get(span.line() - 1).length();
                assertTrue(span.column() + span.length() - 1 <= length, "seed 1801, case " + i + ": " + span);
            }
            for (Fault fault : reading.faults()) {
                int length = lines.get(fault.line() - 1).length();
                assertTrue(fault.column() <= length + 1, "seed 1801, case " + i + ": " + fault);
            }
        }
    }

    /** Any text of the size that is accepted is read at once, whatever it is made of. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                " ",
                "[",
                "( ",
                "(",
                "A - ",
                "verse ",
                "repeat ",
                "a: ",
                "G/G/G/Gx//G ",
                "softly then\\n",
                "| ",
                "{c: ",
                "x 1 ",
                "-",
                "capo ",
                "[A]\\n",
                "key: ",
                "#",
                "Fis ",
                "D.C. ",
                "tuning "
            })
    void read_hostileTextOfFullSize_takesNoTime(String piece) {
        String text = "x" + piece.repeat(ChartTextReader.MOST_BYTES / piece.length() - 1);
        assertTimeoutPreemptively(Duration.ofSeconds(10), () -> {
            try {
                ChartTextReader.read(text);
                ChartTextReader.read(text.substring(1));
            } catch (ChartLimitException tooMany) {
                assertFalse(tooMany.isTooManyBytes());
            }
        });
    }

    private static final String[] CHORDS = {"C", "G7", "Am", "F#m7b5", "Bbmaj7", "D/F#", "E7#9", "Absus4"};
    private static final String[] LYRICS = {
        "", "down", "the lock", "A", "Am I", "key: G", "x2", "un-", "[hey]", "Chorus", "3 boats"
    };
    private static final String[] NAMES = {"", "Verse", "Verse 2", "Chorus", "A", "B", "Am", "Down the weir", "N.C."};

    private static Chart random(Random random) {
        List<Section> sections = new ArrayList<>();
        List<Chart.Words> words = new ArrayList<>();
        int bars = 0;
        for (int s = 0; s <= random.nextInt(4); s++) {
            Metre metre = random.nextInt(4) == 0 ? new Metre(3, 4) : Metre.COMMON;
            List<Bar> section = new ArrayList<>();
            for (int b = 0; b <= random.nextInt(6); b++) {
                boolean spoken = random.nextInt(8) == 0 && b > 0;
                if (spoken) {
                    words.add(new Chart.Words(bars + b, Optional.empty(), List.of(pick(LYRICS, random, 1), "la la")));
                }
                Bar bar = bar(metre, random, bars == 0 && b == 0 && random.nextInt(3) == 0);
                section.add(b == 0 || spoken || random.nextInt(3) == 0 ? bar.atLineStart() : bar);
            }
            bars += section.size();
            sections.add(
                    new Section(s == 0 ? pick(NAMES, random, 0) : pick(NAMES, random, 1), Optional.empty(), section));
            if (random.nextInt(3) == 0) {
                words.add(new Chart.Words(
                        bars, Optional.of(pick(NAMES, random, 1)), List.of("Row on", pick(LYRICS, random, 1))));
            }
        }
        return new Chart(
                random.nextBoolean() ? "" : "Down the Weir",
                random.nextBoolean() ? Optional.empty() : Optional.of(Key.parse("Em")),
                sections.get(0).bars().get(0).metre(),
                random.nextBoolean() ? OptionalInt.empty() : OptionalInt.of(96),
                random.nextBoolean() ? OptionalInt.empty() : OptionalInt.of(random.nextInt(12)),
                Optional.empty(),
                sections,
                words);
    }

    private static String pick(String[] from, Random random, int least) {
        return from[least + random.nextInt(from.length - least)];
    }

    private static Bar bar(Metre metre, Random random, boolean pickUp) {
        double length = pickUp ? 0.5 * (1 + random.nextInt(3)) : metre.beats();
        int parts = pickUp ? 1 : 1 + random.nextInt(3);
        List<Placement> placements = new ArrayList<>();
        double at = 0;
        Optional<Pitch> held = Optional.empty();
        for (int i = 0; i < parts; i++) {
            double beats = i == parts - 1 ? length - at : Math.max(0.5, Math.floor(length / parts));
            Optional<ChordSymbol> chord = random.nextInt(12) == 0
                    ? Optional.empty()
                    : Optional.of(ChordSymbol.parse(pick(CHORDS, random, 0)));
            List<TuneNote> tune = new ArrayList<>();
            if (random.nextInt(3) > 0) {
                boolean tied = held.isPresent() && random.nextBoolean();
                Pitch pitch = tied ? held.get() : Pitch.parse("GABCD".charAt(random.nextInt(5)) + "4");
                tune.add(new TuneNote(pitch, 0, beats, tied));
                held = Optional.of(pitch);
            } else {
                held = Optional.empty();
            }
            placements.add(new Placement(chord, 1 + metre.beats() - length + at, beats, pick(LYRICS, random, 0), tune));
            at += beats;
        }
        return new Bar(metre, placements);
    }

    @Test
    void write_randomCharts_areReadBackTheSame() {
        Random random = new Random(500);
        for (int i = 0; i < 500; i++) {
            Chart chart = random(random);
            String text = ChartTextWriter.write(chart);
            Chart again = ChartTextReader.read(text).chart();
            assertEquals(bracketless(shown(chart)), shown(again), "seed 500, case " + i + "\n" + text);
            assertEquals(ChartLinesTest.lines(chart), ChartLinesTest.lines(again), "seed 500, case " + i + "\n" + text);
        }
    }

    /** Brackets are the one thing words cannot carry. */
    private static String bracketless(String shown) {
        return shown.replace("[hey]", "(hey)");
    }
}
