package underhand.arrange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import underhand.chord.ChordSymbol;
import underhand.neck.Shape;
import underhand.settings.ArrangementSettings;
import underhand.settings.Lock;

class LadderWordsTest {

    private static final ArrangementSettings SETTINGS = ArrangementSettings.ofRung(5);

    private static Arrangement part(String chord, String shape, int capo) {
        ChordSymbol sounding = ChordSymbol.parse(chord);
        return new Arranger()
                .arrange(
                        TeacherParts.chart(List.of(sounding)),
                        SETTINGS.withCapo(capo).withLocks(List.of(Lock.onShape(0, Shape.parse(shape)))));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            C     | x32010 | 0 | C     | x32010 | 0 | ''
            C     | x32010 | 0 | C     | 332010 | 0 | Adds another grip: C 332010.
            C     | x32010 | 0 | C     | xxx553 | 0 | Adds three-string parts (C xxx553).
            Am7   | x02010 | 0 | Am7   | 5x55xx | 0 | Adds shells (Am7 5x55xx), the neck up to fret 5.
            Cmaj7 | x32000 | 0 | Cmaj7 | x3545x | 0 | Adds drop 2 shapes (Cmaj7 x3545x).
            D     | x32010 | 2 | D     | xx0232 | 0 | Adds the song without a capo.
            G     | 320003 | 0 | G7    | 320001 | 0 | Adds sevenths (G7).
            Em    | 022000 | 0 | Em    | 079987 | 0 | 'Adds the full barre, the neck up to fret 9.'
            """)
    void adds_oneChordPlayedTwoWays_namesWhatIsNew(
            String below, String low, int lowCapo, String above, String high, int highCapo, String sentence) {
        assertEquals(sentence, LadderWords.adds(Optional.of(part(below, low, lowCapo)), part(above, high, highCapo)));
    }

    @ParameterizedTest
    @CsvSource({"C,x32010,Starts with 1 shape."})
    void adds_lowestRung_countsItsShapes(String chord, String shape, String sentence) {
        assertEquals(sentence, LadderWords.adds(Optional.empty(), part(chord, shape, 0)));
    }

    /** Every rung adds something a listener or a teacher can name, and once the capo is off it stays off. */
    @ParameterizedTest
    @MethodSource("charts")
    void of_givenChart_everyRungAddsSomethingAndTheCapoNeverComesBack(String chart) {
        List<LadderStep> steps = Ladder.of(new Arranger(), RedPen.chart(chart), ArrangementSettings.ofRung(1));
        int capo = steps.get(0).arrangement().capo();
        for (LadderStep step : steps) {
            assertFalse(step.adds().isBlank() || step.adds().contains("speed"), chart + ": " + step.adds());
            int here = step.arrangement().capo();
            assertTrue(here == capo || here == 0, chart + " goes from capo " + capo + " to " + here);
            capo = here;
        }
    }

    static List<String> charts() {
        return RedPen.CHARTS;
    }
}
