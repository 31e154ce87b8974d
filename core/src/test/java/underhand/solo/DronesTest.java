package underhand.solo;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.OptionalInt;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import underhand.arrange.Arrangement;
import underhand.arrange.Arranger;
import underhand.chart.Chart;
import underhand.format.text.ChartTextReader;
import underhand.harmony.HarmonyReader;
import underhand.input.RangeException;
import underhand.neck.Fretboard;
import underhand.neck.Tuning;
import underhand.settings.ArrangementSettings;
import underhand.settings.SoloAsk;
import underhand.solve.Solo;

/** A tune on one or two strings over open strings that go on, as players of open tunings do without a slide (common practice). */
class DronesTest {

    private static final int TUNE_STRINGS = 2;

    private static final String PHRASE = """
            key: G
            metre: 3/4
            tempo: 96
            | G | G | C | G |
            tune: D4 D4 D4 | G4 A4 B4 | C5 B4 A4 | G4 - - |
            | C | G | D | G |
            tune: E4 G4 B4 | D5 B4 G4 | A4 G4 F#4 | G4 - - |
            """;

    static Stream<Arguments> cases() {
        return Stream.of("open G", "open D", "DADGAD", "double drop D")
                .flatMap(tuning -> Tunes.ALL.stream().map(name -> Arguments.of(tuning, name)));
    }

    private static Arrangement arrange(Chart chart, String tuning, int rung, int capo) {
        return new Arranger()
                .arrange(
                        chart,
                        ArrangementSettings.ofRung(rung)
                                .withCapo(capo)
                                .withTuning(Tuning.parse(tuning))
                                .withSolo(new SoloAsk(SoloAsk.Under.DRONES, OptionalInt.empty(), List.of())));
    }

    @ParameterizedTest
    @MethodSource("cases")
    void theTuneKeepsToTwoStringsAndOpenStringsOfTheKeyGoOn(String tuning, String name) {
        Chart chart = Tunes.chart(name);
        int tonic = HarmonyReader.of(chart).key().tonic().pitchClass();
        for (int rung = 2; rung <= 5; rung++) {
            Arrangement part = arrange(chart, tuning, rung, 0);
            Fretboard board = part.board();
            for (Solo.Note note : part.solo().orElseThrow().notes()) {
                if (note.tune()) {
                    boolean isHigh = note.string() >= board.strings() - TUNE_STRINGS;
                    boolean isTooLow = note.midi() < board.midi(board.strings() - TUNE_STRINGS, 0);
                    assertTrue(isHigh || isTooLow, note.toString());
                } else {
                    assertEquals(0, note.fret(), note.toString());
                    int above = Math.floorMod(note.midi() - tonic, 12);
                    assertTrue(above == 0 || above == 7, note.toString());
                }
            }
            assertEquals(List.of(), part.solo().orElseThrow().leftOut());
        }
    }

    /** What sounds under the tune: open G over a tune in G has both drones on every rung from the fourth. */
    @Test
    void everyBarHasItsDrones() {
        Chart chart = ChartTextReader.read(PHRASE).chart();
        for (int rung = 2; rung <= 5; rung++) {
            Solo solo = arrange(chart, "open G", rung, 0).solo().orElseThrow();
            for (int bar = 0; bar < 8; bar++) {
                double from = 3 * bar;
                long under = solo.notes().stream()
                        .filter(n -> !n.tune() && Math.abs(n.from() - from) < 1e-6)
                        .count();
                assertTrue(under >= (rung < 4 ? 1 : 2), "rung " + rung + " bar " + (bar + 1) + ": " + under);
            }
        }
    }

    /** A capo moves the drones with it: those that are left are still of the key. */
    @Test
    void aCapoMovesTheDrones() {
        Chart chart = ChartTextReader.read(PHRASE.replace("key: G", "key: A")
                        .replace("| G | G | C | G |", "| A | A | D | A |")
                        .replace("| C | G | D | G |", "| D | A | E | A |"))
                .chart();
        Solo solo = arrange(chart, "open G", 4, 2).solo().orElseThrow();
        assertTrue(solo.notes().stream()
                .filter(n -> !n.tune())
                .allMatch(n -> n.fret() == 0 && (n.midi() % 12 == 9 || n.midi() % 12 == 4)));
        assertTrue(solo.notes().stream().anyMatch(n -> !n.tune()));
    }

    @Test
    void anotherKindIsRefusedWithThoseThereAre() {
        RangeException refused = assertThrows(RangeException.class, () -> SoloAsk.Under.parse("pedals"));
        assertTrue(refused.getMessage().contains("chords, drones"), refused.getMessage());
    }
}
