package underhand.desk;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import underhand.chord.ChordSymbol;
import underhand.desk.Desk.Way;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.neck.Fretboard;
import underhand.neck.Guitar;
import underhand.neck.Shape;
import underhand.neck.Tuning;
import underhand.settings.Setting;

/** Where a shape is besides, and the least way from it to a chord. */
class ElsewhereTest {

    private static final Fretboard STANDARD = new Fretboard(Guitar.ACOUSTIC, Tuning.STANDARD, 0);
    private static final Elsewhere NECK = new Elsewhere(STANDARD, Player.ADULT);

    private static List<String> text(List<Shape> shapes) {
        return shapes.stream().map(Shape::toString).toList();
    }

    static Stream<String> shapes() {
        return Stream.of("x-x-x-9-8-7", "x32010", "xx0232", "x-7-5-7-7-x", "8-x-8-9-8-x", "022100");
    }

    @ParameterizedTest
    @MethodSource("shapes")
    void theSameNotesAreTheSamePitches(String text) {
        Shape shape = Shape.parse(text);
        List<Integer> pitches =
                shape.pitches(STANDARD).stream().map(p -> p.midi()).sorted().toList();
        for (Shape other : NECK.sameNotes(shape)) {
            assertEquals(
                    pitches,
                    other.pitches(STANDARD).stream().map(p -> p.midi()).sorted().toList());
        }
    }

    @ParameterizedTest
    @CsvSource({"x-x-x-9-8-7, x-x-14-12-12-x", "x-x-x-12-12-12, x-x-x-12-12-12", "x-3-2-0-x-x, 8-7-5-x-x-x"})
    void aTriadIsFoundOnLowerStrings(String from, String to) {
        Shape shape = Shape.parse(from);
        boolean isThere = text(NECK.sameNotes(shape)).contains(Shape.parse(to).toString());
        assertEquals(!from.equals(to), isThere);
    }

    @ParameterizedTest
    @MethodSource("shapes")
    void aMovedGripSoundsEverythingHigherByAsMuch(String text) {
        Shape shape = Shape.parse(text);
        List<Shape> moved = NECK.moved(shape);
        assertEquals(shape.openStrings() > 0, moved.isEmpty());
        for (Shape there : moved) {
            int by = there.pitches(STANDARD).get(0).midi()
                    - shape.pitches(STANDARD).get(0).midi();
            for (int i = 0; i < shape.sounding(); i++) {
                assertEquals(
                        by,
                        there.pitches(STANDARD).get(i).midi()
                                - shape.pitches(STANDARD).get(i).midi());
            }
        }
    }

    @Test
    void aGripGoesToTheStringsBesideIt() {
        assertEquals(List.of("x5x555"), text(NECK.onNeighbouringStrings(Shape.parse("5x555x"))));
        assertEquals(List.of(), NECK.onNeighbouringStrings(Shape.parse("022100")));
    }

    /** Common practice: from C the third finger goes over to Am, and the first stays. */
    @Test
    void theWayFromCToAmIsTheOneEverybodyIsTaught() {
        Way way = new Ways(STANDARD, Player.ADULT, Rung.of(2), Setting.ALONE)
                .to(ChordSymbol.parse("Am"), Shape.parse("x32010"), 5)
                .get(0);
        assertEquals("x02210 --231-", way.to().grip().toString());
        assertEquals("x32010 -32-1-", way.from().grip().toString());
        assertEquals(
                1, way.change().acts().stream().filter(a -> a.distanceMm() > 0).count());
    }

    @Test
    void waysAreDifferentShapesOfTheChordTheLeastFirst() {
        List<Way> ways = new Ways(STANDARD, Player.ADULT, Rung.of(4), Setting.ALONE)
                .to(ChordSymbol.parse("F"), Shape.parse("x32010"), 6);
        assertEquals(6, ways.stream().map(w -> w.to().grip().shape()).distinct().count());
        for (int i = 1; i < ways.size(); i++) {
            assertTrue(ways.get(i - 1).effort() <= ways.get(i).effort());
        }
    }

    @Test
    void everyFingeringOfAShapeIsHeldTheEasiestFirst() {
        ShapeGrips grips = new ShapeGrips(STANDARD, Player.ADULT);
        assertEquals(
                "320003 32---4", grips.of(Shape.parse("320003")).get(0).grip().toString());
        assertTrue(grips.of(Shape.parse("1-x-x-x-x-9")).isEmpty(), "no hand reaches so far");
        assertEquals(!grips.of(Shape.parse("x7577x")).isEmpty(), grips.canHold(Shape.parse("x7577x")));
    }
}
