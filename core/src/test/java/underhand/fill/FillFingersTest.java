package underhand.fill;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import underhand.fill.Sketch.Moment;
import underhand.hand.FingeringSearch;
import underhand.hand.Grip;
import underhand.hand.HandEffort;
import underhand.hand.Hold;
import underhand.hand.Parameters;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.move.ChangeModel;
import underhand.neck.Fretboard;
import underhand.neck.Guitar;
import underhand.neck.Shape;
import underhand.neck.Tuning;

class FillFingersTest {

    private static final Fretboard BOARD = new Fretboard(Guitar.ACOUSTIC, Tuning.STANDARD, 0);
    private static final List<String> SHAPES =
            List.of("x32010", "320003", "x02210", "022000", "xx0232", "x02220", "022100", "133211", "xx3211", "x24432");

    private final FingeringSearch search = new FingeringSearch(BOARD, Rung.of(4), Player.ADULT);
    private final HandEffort effort = new HandEffort(BOARD, Player.ADULT, Parameters.STANDARD);
    private final ChangeModel changes = new ChangeModel(BOARD, Rung.of(4), Player.ADULT, Parameters.STANDARD);
    private final FillFingers fingers = new FillFingers(search, effort, changes);

    private Grip grip(String shape) {
        return search.fingerings(Shape.parse(shape)).get(0);
    }

    private static Moment moment(String shape) {
        return new Moment(0, 0.5, Shape.parse(shape), List.of(5), Technique.PLUCKED);
    }

    /** One note of a shape moved: what fills do. */
    private static String varied(String shape, Random random) {
        char[] frets = shape.toCharArray();
        int string = random.nextInt(frets.length);
        if (frets[string] != 'x') {
            frets[string] = (char) ('0' + random.nextInt(5));
        }
        return new String(frets);
    }

    @Test
    void of_randomFills_isTheCheapestOfAllFingerings() {
        Random random = new Random(71);
        int compared = 0;
        for (int i = 0; i < 300; i++) {
            String shape = SHAPES.get(random.nextInt(SHAPES.size()));
            Grip before = grip(shape);
            List<Moment> moments = new ArrayList<>();
            for (int n = 1 + random.nextInt(3); n > 0; n--) {
                moments.add(moment(varied(shape, random)));
            }
            Optional<Grip> after = random.nextInt(4) == 0
                    ? Optional.empty()
                    : Optional.of(grip(SHAPES.get(random.nextInt(SHAPES.size()))));
            Optional<FillFingers.Fingered> found = fingers.of(before, moments, after, 1, 0.5);
            double least = cheapest(before, before, moments, 0, after);
            assertEquals(Double.isFinite(least), found.isPresent(), "seed 71, case " + i);
            if (found.isPresent()) {
                compared++;
                double held = found.get().grips().stream()
                        .mapToDouble(g -> held(before, g))
                        .sum();
                assertEquals(least, found.get().effort() + held, 1e-9, "seed 71, case " + i);
            }
        }
        assertTrue(compared > 150, "only " + compared);
    }

    /** Every way to finger what is left, tried. */
    private double cheapest(Grip first, Grip from, List<Moment> moments, int next, Optional<Grip> after) {
        if (next == moments.size()) {
            return after.map(to -> changes.effort(from, to)).orElse(0.0);
        }
        double least = Double.POSITIVE_INFINITY;
        for (Grip grip : search.fingerings(moments.get(next).shape())) {
            double cost = changes.effort(from, grip) + held(first, grip);
            least = Math.min(least, cost + cheapest(first, grip, moments, next + 1, after));
        }
        return least;
    }

    /** What a grip costs for a moment: half of itself, and 1 for each note of the first grip under another finger. */
    private double held(Grip first, Grip grip) {
        double cost = effort.of(grip).total() / 2;
        for (Hold hold : grip.holds()) {
            for (int string = hold.lowString(); string <= hold.highString(); string++) {
                boolean same = grip.shape().fret(string) == hold.fret()
                        && first.shape().fret(string) == hold.fret();
                cost += same && first.fingerOn(string) != hold.finger() ? 1 : 0;
            }
        }
        return cost;
    }

    /** The finger that lifts for an ornament comes back to its place; common practice. */
    @ParameterizedTest
    @CsvSource({
        "xx0232 ---132, xx0230, xx0232", // D: the first string open, and again
        "x32010 -32-1-, x30010, x32010", // C: the fourth
        "x02210 --231-, x02200, x02210", // Am: the second
        "200232 1--243, 200230, 200232", // D/F#: the first
        "022000 -23---, 002000, 022000", // Em: the fifth
    })
    void of_anOrnament_theFingerThatLiftsComesBack(String grip, String lifted, String again) {
        String[] both = grip.split(" ");
        Grip held = search.fingerings(Shape.parse(both[0])).stream()
                .filter(g -> g.fingers().equals(both[1]))
                .findFirst()
                .orElseThrow();
        FillFingers.Fingered fingered = fingers.of(
                        held, List.of(moment(lifted), moment(again)), Optional.of(held), 0.3, 0.6)
                .orElseThrow();
        assertEquals(both[1], fingered.grips().get(1).fingers());
    }

    /** Of two moves the one with less time to spare is told, with the time there is for it. */
    @Test
    void of_aFillInAHurry_namesItsTightestMove() {
        FillFingers.Fingered fingered = fingers.of(
                        grip("x32010"),
                        List.of(moment("x30010"), moment("x32010")),
                        Optional.of(grip("133211")),
                        5,
                        0.5)
                .orElseThrow();
        assertEquals(0.25, fingered.availableSeconds(), 1e-9);
        double between =
                changes.neededSeconds(fingered.grips().get(0), fingered.grips().get(1));
        double after = changes.neededSeconds(fingered.grips().get(1), grip("133211"));
        assertEquals(Math.max(between, after), fingered.neededSeconds(), 1e-9);
    }
}
