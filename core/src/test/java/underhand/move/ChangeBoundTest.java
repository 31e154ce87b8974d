package underhand.move;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import underhand.chord.ChordSymbol;
import underhand.hand.FingerSpreads;
import underhand.hand.FingeringSearch;
import underhand.hand.Grip;
import underhand.hand.Parameters;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.neck.Fretboard;
import underhand.neck.Guitar;
import underhand.neck.Shape;
import underhand.neck.ShapeFinder;
import underhand.neck.ToneDemand;
import underhand.neck.Tuning;

class ChangeBoundTest {

    private static final double SAME = 1e-9;
    private static final Player THUMB = new Player(FingerSpreads.ADULT, true, 1);

    private static List<Grip> grips(Fretboard board, String chord, int oneOf) {
        FingeringSearch fingers = new FingeringSearch(board, Rung.of(5), THUMB);
        ToneDemand tones = ToneDemand.of(ChordSymbol.parse(chord), false, false);
        List<Grip> grips = new ArrayList<>();
        int number = 0;
        for (Shape shape : new ShapeFinder(board, 12, THUMB.spreads().widestMm(1, 4), 2).find(tones)) {
            for (Grip grip : fingers.fingerings(shape)) {
                if (number++ % oneOf == 0) {
                    grips.add(grip);
                }
            }
        }
        return grips;
    }

    @ParameterizedTest
    @CsvSource({"C, G7, 0", "F, Bb, 0", "Am7, D9, 3", "E, A, 7", "Bm7b5, E7#9, 1"})
    void of_everyPairOfGrips_isNoMoreThanTheirEffort(String from, String to, int capo) {
        Fretboard board = new Fretboard(Guitar.ACOUSTIC, Tuning.STANDARD, capo);
        ChangeModel model = new ChangeModel(board, Rung.of(3), THUMB, Parameters.STANDARD);
        ChangeBound bound = new ChangeBound(board, Parameters.STANDARD);
        double bounds = 0;
        double efforts = 0;
        for (Grip left : grips(board, from, 37)) {
            for (Grip reached : grips(board, to, 41)) {
                double atLeast = bound.of(ChangeBound.outline(left), ChangeBound.outline(reached));
                double effort = model.effort(left, reached);
                assertTrue(atLeast <= effort + SAME, () -> left + " to " + reached);
                bounds += atLeast;
                efforts += effort;
            }
        }
        assertTrue(bounds > efforts / 2, "of " + efforts + " only " + bounds + " is told at a glance");
    }

    @Test
    void of_noFingerDown_isALanding() {
        Fretboard board = new Fretboard(Guitar.ACOUSTIC, Tuning.STANDARD, 0);
        Grip open = new FingeringSearch(board, Rung.of(5), THUMB)
                .fingerings(Shape.parse("000000"))
                .get(0);
        Grip one = new FingeringSearch(board, Rung.of(5), THUMB)
                .fingerings(Shape.parse("000020"))
                .get(0);
        double landing = Parameters.STANDARD.get("change.land");
        ChangeBound bound = new ChangeBound(board, Parameters.STANDARD);
        assertEquals(landing, bound.of(ChangeBound.outline(open), ChangeBound.outline(one)), SAME);
    }
}
