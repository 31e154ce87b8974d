package underhand.move;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import underhand.hand.FingeringSearch;
import underhand.hand.Grip;
import underhand.hand.Parameters;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.move.FingerAct.Act;
import underhand.neck.Fretboard;
import underhand.neck.Guitar;
import underhand.neck.Shape;
import underhand.neck.Tuning;

class ChangeModelTest {

    private static final Fretboard BOARD = new Fretboard(Guitar.ACOUSTIC, Tuning.STANDARD, 0);
    private static final ChangeModel MODEL = model(BOARD, 2);

    private static ChangeModel model(Fretboard board, int rung) {
        return new ChangeModel(board, Rung.of(rung), Player.ADULT, Parameters.STANDARD);
    }

    private static Grip grip(String shape, String fingers) {
        return new FingeringSearch(BOARD, Rung.of(5), Player.ADULT)
                .fingerings(Shape.parse(shape)).stream()
                        .filter(g -> g.fingers().equals(fingers))
                        .findFirst()
                        .orElseThrow();
    }

    private static Map<Integer, Act> acts(Change change) {
        return change.acts().stream().collect(Collectors.toMap(FingerAct::finger, FingerAct::act));
    }

    @Test
    void between_cToAm_movesOneFinger() {
        Change change = MODEL.between(grip("x32010", "-32-1-"), grip("x02210", "--231-"));
        assertEquals(Map.of(1, Act.STAYS, 2, Act.STAYS, 3, Act.TRAVELS), acts(change));
    }

    @Test
    void between_gToD7_landsTravelsAndLifts() {
        Change change = MODEL.between(grip("320003", "32---4"), grip("xx0212", "---213"));
        assertEquals(Map.of(1, Act.LANDS, 2, Act.TRAVELS, 3, Act.TRAVELS, 4, Act.LIFTS), acts(change));
    }

    @Test
    void between_sameStringOtherFret_slides() {
        Change change = MODEL.between(grip("xx0232", "---132"), grip("xx0454", "---132"));
        assertEquals(Map.of(1, Act.SLIDES, 2, Act.SLIDES, 3, Act.SLIDES), acts(change));
        double along = BOARD.pressMm(4) - BOARD.pressMm(2);
        assertEquals(along, change.acts().get(0).distanceMm(), 1e-9);
    }

    @Test
    void between_wholeGripSliding_isOneCheapMotion() {
        Change slide = MODEL.between(grip("133211", "134211"), grip("355433", "134211"));
        Change anew = MODEL.between(grip("x13331", "-12341"), grip("355433", "134211"));
        assertTrue(slide.effort() < anew.effort() / 2, slide.effort() + " against " + anew.effort());
        assertTrue(slide.neededSeconds() < anew.neededSeconds());
    }

    @Test
    void between_sameGrip_costsNothingAndTakesNoTime() {
        Grip g = grip("320003", "21---3");
        assertEquals(0, MODEL.between(g, g).effort());
        assertEquals(0, MODEL.between(g, g).neededSeconds());
    }

    /** Fitts's law in the form of MacKenzie 1992 (from memory): each doubling of 1 + D/W takes the same time more. */
    @Test
    void neededSeconds_growWithTheLogarithmOfTheWay() {
        Grip from = grip("x1xxxx", "-1----");
        double[] seconds = new double[3];
        int[] frets = {3, 7, 11};
        for (int i = 0; i < 3; i++) {
            seconds[i] = MODEL.between(from, grip("x-" + frets[i] + "-x-x-x-x", "-1----"))
                    .neededSeconds();
        }
        double[] index = new double[3];
        for (int i = 0; i < 3; i++) {
            double way = BOARD.pressMm(frets[i]) - BOARD.pressMm(1);
            index[i] = Math.log(1 + way / BOARD.fretWidthMm(frets[i])) / Math.log(2);
        }
        assertEquals(
                (seconds[1] - seconds[0]) / (index[1] - index[0]),
                (seconds[2] - seconds[1]) / (index[2] - index[1]),
                1e-9);
    }

    @Test
    void neededSeconds_wholeNewGripAHandAway_isTheRungsChangeTime() {
        for (Rung rung : Rung.all()) {
            double seconds = model(BOARD, rung.level())
                    .between(grip("x32310", "-3241-"), grip("x6567x", "-2134-"))
                    .neededSeconds();
            assertEquals(rung.changeSeconds(), seconds, 0.15 * rung.changeSeconds());
        }
    }

    @Test
    void cost_randomGrips_equalTheFullChange() {
        Random random = new Random(1954);
        List<Grip> grips = random.ints(60, 0, 1 << 12)
                .mapToObj(
                        code -> Shape.of(-1, 1 + (code & 3), 1 + (code >> 2 & 3), (code >> 4 & 3), (code >> 6 & 3), 0))
                .flatMap(s -> new FingeringSearch(BOARD, Rung.of(5), Player.ADULT)
                        .fingerings(s).stream().limit(2))
                .toList();
        for (int i = 0; i < 500; i++) {
            Grip from = grips.get(random.nextInt(grips.size()));
            Grip to = grips.get(random.nextInt(grips.size()));
            Change change = MODEL.between(from, to);
            ChangeModel.Cost cost = MODEL.cost(from, to);
            assertEquals(change.effort(), cost.effort(), 1e-9, from + " to " + to);
            assertEquals(change.neededSeconds(), cost.seconds(), 1e-9, from + " to " + to);
            assertTrue(cost.effort() >= 0 && cost.seconds() >= 0);
        }
    }

    @Test
    void between_aboveACapo_isShorter() {
        Fretboard above = new Fretboard(Guitar.ACOUSTIC, Tuning.STANDARD, 5);
        Grip from = new FingeringSearch(above, Rung.of(5), Player.ADULT)
                .fingerings(Shape.parse("x32010"))
                .get(0);
        Grip to = new FingeringSearch(above, Rung.of(5), Player.ADULT)
                .fingerings(Shape.parse("320003"))
                .get(0);
        Grip fromLow = grip("x32010", from.fingers());
        Grip toLow = grip("320003", to.fingers());
        assertTrue(model(above, 2).between(from, to).widestMm()
                < MODEL.between(fromLow, toLow).widestMm());
    }
}
