package underhand.format.text;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import underhand.chart.Chart;
import underhand.chart.Metre;
import underhand.pitch.Key;

class ChartTextReaderTest {

    /** Chords with bar and length, {@code 1:G4 2:D2 2:G2}. */
    private static String layout(String source) {
        return ChartTextReader.read(source).chart().placements().stream()
                .map(p -> p.bar() + ":"
                        + p.placement().chord().map(Object::toString).orElse("N.C.")
                        + String.format("%.0f", p.placement().beats()))
                .collect(Collectors.joining(" "));
    }

    private static List<Fault> faults(String source) {
        return ChartTextReader.read(source).faults();
    }

    @ParameterizedTest
    @CsvSource({
        "'[G]Morning on the [D]towpath',1:G4 2:D4",
        "'G      D      Em',1:G4 2:D4 3:Em4",
        "'| G D | Em |',1:G2 1:D2 2:Em4",
        "'| G . D . | Em / / C |',1:G2 1:D2 2:Em3 2:C1",
        "'| G | % | D |',1:G4 2:G4 3:D4",
        "'|: G D :|',1:G2 1:D2 2:G2 2:D2",
        "'|: G :| x3',1:G4 2:G4 3:G4",
        "'G D x2',1:G4 2:D4 3:G4 4:D4",
        "'[G]to[D]morrow',1:G2 1:D2",
        "'| G | . . D . |',1:G4 2:G2 2:D2",
        "'| N.C. | G |',1:N.C.4 2:G4",
        "'[A]',1:A4",
        "'(G) D',1:G4 2:D4",
        "'|: G D |1. Em :|2. C |',1:G2 1:D2 2:Em4 3:G2 3:D2 4:C4",
        "'|: G |1. D :|2. Em :|3. C |',1:G4 2:D4 3:G4 4:Em4 5:G4 6:C4",
        "'| D . | G | C |',1:D2 2:G4 3:C4"
    })
    void read_layout_sharesTheBars(String source, String layout) {
        assertEquals(layout, layout(source));
        assertEquals(List.of(), faults(source));
    }

    @Test
    void read_chordsOverOneWord_shareABar() {
        assertEquals("1:G2 1:D2 2:C4", layout("G  D      C\ntomorrow  rain"));
    }

    /** A word that goes on after a chord has a hyphen where it is split, once. */
    @ParameterizedTest
    @CsvSource({
        "'[Em]lower gate un[D]barred', 'lower gate un-/barred'",
        "'[Em]lower gate un-[D]barred', 'lower gate un-/barred'",
        "'[Em]wait, [D]barred', 'wait,/barred'",
        "'[Em]ü[D]ber', 'ü-/ber'",
        "'[Em]o''[D]er', 'o''/er'",
        "'Em   D C\ntomorrow rain', 'tomor-/row/rain'"
    })
    void read_wordsSplitByAChord_haveAHyphen(String source, String words) {
        assertEquals(
                words,
                ChartTextReader.read(source).chart().placements().stream()
                        .map(p -> p.placement().lyric())
                        .collect(Collectors.joining("/")));
    }

    @Test
    void read_words_goWithTheirChords() {
        Chart chart = ChartTextReader.read("Mor[G]ning on the [D]towpath\nEm       C\nNobody   up")
                .chart();
        assertEquals(
                List.of("Morning on the", "towpath", "Nobody", "up"),
                chart.placements().stream().map(p -> p.placement().lyric()).toList());
    }

    @Test
    void read_headersPlainAndInBraces_areTaken() {
        Chart chart = ChartTextReader.read(
                        "title: Towpath\n{key: A minor}\ntempo: 120\nmetre: 3/4\n{capo: 2}\ntuning: D2 A2 D3 G3 B3 E4\n[Verse]\nAm")
                .chart();
        assertEquals("Towpath", chart.title());
        assertEquals(Key.parse("Am"), chart.key().orElseThrow());
        assertEquals(new Metre(3, 4), chart.metre());
        assertEquals(120, chart.tempo().getAsInt());
        assertEquals(2, chart.capo().getAsInt());
        assertEquals("D2 A2 D3 G3 B3 E4", chart.tuning().orElseThrow());
        assertEquals("Verse", chart.sections().get(0).name());
        assertEquals(3, chart.placements().get(0).placement().beats());
    }

    @Test
    void read_metreAndKeyInTheMiddle_holdFromThere() {
        Chart chart = ChartTextReader.read("key: G\nmetre: 3/4\n[Verse]\n[G]one\nkey: A\nmetre: 4/4\n[A]two")
                .chart();
        assertEquals(new Metre(3, 4), chart.metre());
        assertEquals(Key.parse("G"), chart.key().orElseThrow());
        List<Chart.Slot> slot = chart.placements();
        assertEquals(new Metre(4, 4), slot.get(1).metre());
        assertEquals(Key.parse("A"), slot.get(1).key().orElseThrow());
        assertEquals("Verse", slot.get(1).section());
    }

    @Test
    void read_pickUp_standsAtTheEndOfItsBar() {
        Chart.Slot pickUp =
                ChartTextReader.read("| D . | G |").chart().placements().get(0);
        assertEquals(3, pickUp.placement().beat());
        assertEquals(List.of(), faults("| D . | G |"));
    }

    @Test
    void read_sectionsInBracketsOrWithAColon_areNamed() {
        Chart chart = ChartTextReader.read("[Verse 2]\nG\nChorus:\nD\n[Bridge] [C]Row on")
                .chart();
        assertEquals(
                List.of("Verse 2", "Chorus", "Bridge"),
                chart.sections().stream().map(s -> s.name()).toList());
    }

    @Test
    void read_firstLineOfWords_isTheTitle() {
        assertEquals(
                "Towpath Morning",
                ChartTextReader.read("Towpath Morning\n\nG D").chart().title());
    }

    @Test
    void read_lineOfWordsThatStartsWithAnA_isNoChordLine() {
        ChartReading reading = ChartTextReader.read("[G]One\nA day in the life of a boat");
        assertEquals(1, reading.chart().placements().size());
        assertEquals("has no chords; kept as words", reading.faults().get(0).reason());
    }

    @Test
    void read_mistypedChord_pointsAtItAndSuggests() {
        Fault fault = faults("title: T\n\n[G]Down the [Gmaf7]lock [D]gate").get(0);
        assertEquals("Line 3, column 14: 'Gmaf7' is no chord name here. Did you mean Gmaj7?", fault.message());
        assertEquals("1:G4 2:N.C.4 3:D4", layout("[G]Down the [Gmaf7]lock [D]gate"));
        assertEquals("Gmaj7", faults("| C | Gmaf7 |").get(0).suggestion().orElseThrow());
    }

    @ParameterizedTest
    @CsvSource({
        "key: sunny,6",
        "tempo: fast,8",
        "metre: 4/5,8",
        "capo: 14,7",
        "tuning: E A D,9",
        "{mood: bright},2",
        "'| % | G |',3",
        "'| G | G . D |',1",
        "'G D x99',5"
    })
    void read_badPiece_isReportedWhereItStands(String source, int column) {
        Fault fault = faults(source).get(0);
        assertEquals(1, fault.line());
        assertEquals(column, fault.column(), fault.message());
    }

    @Test
    void read_tooManyBytes_saysTheLimit() {
        ChartLimitException e =
                assertThrows(ChartLimitException.class, () -> ChartTextReader.read("G ".repeat(140_000)));
        assertTrue(e.isTooManyBytes());
        assertTrue(e.getMessage().contains("262144"), e.getMessage());
    }

    @Test
    void read_tooManyChords_saysTheLimit() {
        String source = ("|: G D :| x32\n").repeat(40);
        ChartLimitException e = assertThrows(ChartLimitException.class, () -> ChartTextReader.read(source));
        assertTrue(e.getMessage().contains("2000"), e.getMessage());
    }

    /** Any text gives a chart whose bars are full, or a typed limit; never anything else. */
    @Test
    void read_seededHostileText_isTotal() {
        Random random = new Random(256);
        String[] bits = {
            "[",
            "]",
            "|",
            "|:",
            ":|",
            "%",
            ".",
            "/",
            "x2",
            "x0",
            "{",
            "}",
            ":",
            "G",
            "Hm7",
            "C#m7b5/",
            "♭",
            "\t",
            "\n",
            "\n\n",
            " ",
            "key: ",
            "metre: 3/4\n",
            "\uFEFF",
            "𝄪",
            "\u0000",
            "N.C.",
            "é",
            "((",
            "999999999999",
            "\r\n"
        };
        for (int i = 0; i < 3000; i++) {
            StringBuilder text = new StringBuilder();
            for (int n = random.nextInt(60); n > 0; n--) {
                text.append(bits[random.nextInt(bits.length)]);
            }
            ChartReading reading = ChartTextReader.read(text.toString());
            for (Chart.Slot slot : reading.chart().placements()) {
                double end = slot.placement().beat() - 1 + slot.placement().beats();
                assertTrue(end <= slot.metre().beats() + 1e-9, "seed 256, case " + i);
            }
            reading.faults().forEach(f -> assertTrue(f.line() >= 1 && f.column() >= 1));
        }
    }

    /** A heading may stand before its chords on one line, as players jot down an intro. */
    @ParameterizedTest
    @CsvSource({
        "'Intro: G D Em C', Intro, 4",
        "'Verse 1:  C   G  Am  F', Verse 1, 4",
        "'Outro:\tDm7 G7', Outro, 2",
        "'Chorus: | C | F |', Chorus, 2"
    })
    void read_headingBeforeChords_isASection(String line, String section, int chords) {
        ChartReading reading = ChartTextReader.read("[C]One [G]two\n" + line);
        assertEquals(2, reading.chart().sections().size());
        assertEquals(section, reading.chart().sections().get(1).name());
        assertEquals(2 + chords, reading.chart().placements().size());
        assertEquals(List.of(), reading.faults());
    }

    /** A first line of bars is never a title, even where none of its chords can be read; its bars stay. */
    @Test
    void read_firstBarsThatCannotBeRead_stayBarsAndAreNoTitle() {
        ChartReading reading = ChartTextReader.read("| Zq!// | Xx// |\n| C | G |");
        assertEquals("", reading.chart().title());
        assertEquals(4, reading.chart().bars());
        assertEquals(2, reading.faults().size());
    }
}
