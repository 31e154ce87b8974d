package underhand.hand;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import underhand.neck.Fretboard;
import underhand.neck.Guitar;
import underhand.neck.Shape;
import underhand.neck.Tuning;

class FingeringTest {

    private static final Fretboard BOARD = new Fretboard(Guitar.ACOUSTIC, Tuning.STANDARD, 0);
    private static final Player WITH_THUMB = new Player(FingerSpreads.ADULT, true, 1);

    static Stream<Textbook.Entry> textbook() {
        return Textbook.ALL.stream();
    }

    /** Textbook fingerings come first or level with the first; common practice. */
    @ParameterizedTest
    @MethodSource("textbook")
    void fingerings_textbookShape_putTheTextbookFingersFirst(Textbook.Entry entry) {
        assertTrue(
                Textbook.isFirstOrTied(entry, Parameters.STANDARD),
                entry + ": " + FingeredChords.ranked(entry.shape(), Parameters.STANDARD));
    }

    /** Open data set @tombatossals/chords-db 0.5.1: its fingers against ours, over all its fingered positions. */
    @Test
    void fingerings_openDataSet_agree() {
        FingeredChords.Agreement all = FingeredChords.agreement(Parameters.STANDARD, p -> true);
        assertTrue(all.firstShare() >= 0.84, "first: " + all);
        assertTrue(all.amongTwoShare() >= 0.92, "among two: " + all);
    }

    /** Every fingering the search gives obeys the rules of the hand, over random shapes. */
    @Test
    void fingerings_randomShapes_obeyTheHand() {
        Random random = new Random(1812);
        FingeringSearch search = new FingeringSearch(BOARD, Rung.of(5), WITH_THUMB);
        for (int i = 0; i < 2000; i++) {
            int base = random.nextInt(8);
            Shape shape = Shape.of(
                    random.ints(6, -1, 5).map(f -> f <= 0 ? f : base + f).toArray());
            List<Grip> grips = search.fingerings(shape);
            Set<Grip> different = new HashSet<>(grips);
            assertEquals(grips.size(), different.size(), "no fingering twice for " + shape);
            grips.forEach(FingeringTest::obeysTheHand);
        }
    }

    /** The lowest finger of a fret may take its highest strings past one that is not stopped: 320002 as {@code 32---1}. */
    private static boolean isTurned(List<Hold> holds, Hold low) {
        return holds.stream()
                .filter(h -> h.fret() == low.fret() && h != low)
                .allMatch(h -> low.finger() < h.finger() && h.highString() < low.lowString());
    }

    private static void obeysTheHand(Grip grip) {
        for (int string = 0; string < grip.shape().strings(); string++) {
            assertEquals(grip.shape().isFretted(string), grip.fingerOn(string) > 0, grip.toString());
        }
        List<Hold> holds =
                grip.holds().stream().filter(h -> h.finger() != Grip.THUMB).toList();
        assertTrue(holds.size() <= 4, grip.toString());
        for (int i = 1; i < holds.size(); i++) {
            Hold low = holds.get(i - 1);
            Hold high = holds.get(i);
            assertTrue(low.finger() < high.finger(), grip.toString());
            assertTrue(low.fret() <= high.fret(), "a higher finger is never on a lower fret: " + grip);
            assertTrue(
                    low.fret() < high.fret() || low.highString() < high.lowString() || isTurned(holds, low),
                    grip.toString());
        }
        for (Hold barre : grip.barres()) {
            for (int string = barre.lowString(); string <= barre.highString(); string++) {
                boolean open = grip.shape().fret(string) == 0;
                boolean lower = grip.shape().isFretted(string) && grip.shape().fret(string) < barre.fret();
                assertTrue(!open && !lower, "a barre passes over no open string: " + grip);
            }
        }
        grip.hold(Grip.THUMB).ifPresent(t -> assertEquals(0, t.lowString(), grip.toString()));
    }

    @Test
    void fingerings_lowRung_hasNoBarreAndThreeFingers() {
        FingeringSearch search = new FingeringSearch(BOARD, Rung.of(1), Player.ADULT);
        assertTrue(search.fingerings(Shape.parse("133211")).isEmpty());
        assertTrue(search.fingerings(Shape.parse("x32310")).isEmpty());
        search.fingerings(Shape.parse("x02220"))
                .forEach(g -> assertTrue(g.barres().isEmpty()));
    }

    @Test
    void fingerings_thumb_onlyWhenThePlayerUsesIt() {
        Shape shape = Shape.parse("200232");
        assertTrue(new FingeringSearch(BOARD, Rung.of(5), Player.ADULT)
                .fingerings(shape).stream().noneMatch(g -> g.uses(Grip.THUMB)));
        assertTrue(new FingeringSearch(BOARD, Rung.of(5), WITH_THUMB)
                .fingerings(shape).stream().anyMatch(g -> g.uses(Grip.THUMB)));
    }

    @Test
    void damping_silentString_namesTheFingerThatLeansOnIt() {
        Grip c = new FingeringSearch(BOARD, Rung.of(1), Player.ADULT)
                .fingerings(Shape.parse("x32010"))
                .get(0);
        assertEquals(List.of(new Damping(0, c.fingerOn(1))), c.damping());
        Grip d = new FingeringSearch(BOARD, Rung.of(1), Player.ADULT)
                .fingerings(Shape.parse("xx0232"))
                .get(0);
        assertEquals("pick", d.damping().get(0).by());
    }

    @Test
    void effort_stretchPastTheWidest_isImpossible() {
        Player small = new Player(FingerSpreads.ADULT.scaledTo(60, 75), false, 1);
        HandEffort effort = new HandEffort(BOARD, small, Parameters.STANDARD);
        Shape wide = Shape.parse("1x3x5x");
        assertTrue(new FingeringSearch(BOARD, Rung.of(5), small)
                .fingerings(wide).stream().noneMatch(g -> effort.of(g).isPossible()));
        HandEffort up = new HandEffort(new Fretboard(Guitar.ACOUSTIC, Tuning.STANDARD, 12), small, Parameters.STANDARD);
        Fretboard high = new Fretboard(Guitar.ACOUSTIC, Tuning.STANDARD, 12);
        assertTrue(
                new FingeringSearch(high, Rung.of(5), small)
                        .fingerings(wide).stream().anyMatch(g -> up.of(g).isPossible()),
                "the same shape is narrower far up the neck");
    }

    @Test
    void effort_terms_sumToTheTotal() {
        HandEffort effort = new HandEffort(BOARD, Player.ADULT, Parameters.STANDARD);
        for (Grip grip : new FingeringSearch(BOARD, Rung.of(5), Player.ADULT).fingerings(Shape.parse("133211"))) {
            Effort sum = effort.of(grip);
            assertEquals(
                    sum.total(),
                    sum.terms().values().stream()
                            .mapToDouble(Double::doubleValue)
                            .sum(),
                    1e-9);
            assertTrue(sum.of(EffortTerm.BARRE) > 0 == !grip.barres().isEmpty());
        }
    }

    @Test
    void parameters_unknownName_isRefused() {
        assertThrows(IllegalArgumentException.class, () -> Parameters.STANDARD.get("charm"));
    }
}
