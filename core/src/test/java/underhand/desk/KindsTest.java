package underhand.desk;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import underhand.chord.ChordSymbol;
import underhand.desk.Desk.Inverted;
import underhand.desk.Desk.Kind;
import underhand.desk.Desk.Way;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.neck.Fretboard;
import underhand.neck.Guitar;
import underhand.neck.Shape;
import underhand.neck.Tuning;
import underhand.texture.Family;
import underhand.texture.Structure;

/** A chord all over the neck by how its shapes are built, and two shapes side by side. */
class KindsTest {

    private static Desk desk(String tuning) {
        return new Desk(new Fretboard(Guitar.ACOUSTIC, Tuning.parse(tuning), 0), Player.ADULT);
    }

    private static List<Inverted> shapes(Desk desk, String chord, Family family, String strings) {
        return desk.kinds(ChordSymbol.parse(chord)).stream()
                .filter(k -> k.family() == family && k.strings().equals(strings))
                .flatMap(k -> k.shapes().stream())
                .toList();
    }

    /** Grips every accompanist knows, in the family players call them by (common practice). */
    @ParameterizedTest
    @CsvSource({
        "standard, C, OPEN, '', x32010",
        "standard, C, FORM, '', x35553",
        "standard, F, FORM, '', 133211",
        "standard, G7, SHELL, '', 3x34xx",
        "standard, Am7, MUTED, '', 5x555x",
        "standard, G7, GUIDE, 43, xx34xx",
        "standard, Cmaj7, DROP_2, 5432, x3545x",
        "standard, Fmaj7, DROP_2, 4321, xx3555",
        "standard, Cmaj7, DROP_3, 6432, 8-x-9-9-8-x",
        "standard, G, TRIAD, 321, x-x-x-7-8-7",
        "standard, Em, TRIAD, 321, x-x-x-12-12-12",
        "standard, G, TENTH, 63, 3xx4xx",
        "standard, G5, POWER, '', 355xxx",
        "drop D, G, DROPPED, '', 559xxx",
        "drop D, D/F#, DROPPED, '', 454xxx",
        "open G, G, OPEN, '', x00000",
    })
    void knownGrips_areAmongTheirKind(String tuning, String chord, Family family, String strings, String shape) {
        List<Inverted> found = shapes(desk(tuning), chord, family, strings);
        assertTrue(
                found.stream().anyMatch(i -> i.shape().equals(Shape.parse(shape))),
                found.stream().map(i -> i.shape().toString()).toList().toString());
    }

    /** A seventh chord has four inversions in drop 2 on each set of strings, a triad three (combinatorics). */
    @ParameterizedTest
    @CsvSource({
        "Cmaj7, DROP_2, 4321, 0123",
        "Cmaj7, DROP_2, 5432, 0123",
        "Am7, DROP_2, 6543, 0123",
        "A7, DROP_3, 6432, 0123",
        "G, TRIAD, 321, 012",
        "Bm, TRIAD, 432, 012",
        "D, TRIAD, 543, 012",
    })
    void everyInversionIsThere(String chord, Family family, String strings, String inversions) {
        String found = shapes(desk("standard"), chord, family, strings).stream()
                .map(Inverted::inversion)
                .distinct()
                .sorted()
                .map(String::valueOf)
                .collect(Collectors.joining());
        assertEquals(inversions, found);
    }

    @Test
    void everyShapeIsOfItsKindAndHasTonesOfTheChordAlone() {
        for (String tuning : List.of("standard", "drop D", "open G", "DADGAD", "seven string", "ukulele")) {
            Desk desk = desk(tuning);
            for (String symbol : List.of("C", "F#m", "Bb7", "Em7", "Abmaj7", "Dsus4", "A5")) {
                ChordSymbol chord = ChordSymbol.parse(symbol);
                Set<Integer> tones =
                        chord.tones().stream().map(t -> t.note().pitchClass()).collect(Collectors.toSet());
                for (Kind kind : desk.kinds(chord)) {
                    assertFalse(kind.shapes().isEmpty());
                    for (Inverted one : kind.shapes()) {
                        Structure structure = new Structure(one.shape(), chord, desk.board(), true);
                        assertTrue(structure.isOf(kind.family()), symbol + " " + one + " " + kind.family());
                        assertEquals(structure.inversion(), one.inversion());
                        assertTrue(one.shape().pitches(desk.board()).stream()
                                .allMatch(p -> tones.contains(p.pitchClass())));
                        assertTrue(kind.strings().isEmpty()
                                || one.shape().stringNumbers().equals(kind.strings()));
                    }
                }
            }
        }
    }

    @ParameterizedTest
    @CsvSource({"x32010, x02210, 3", "320003, 320033, 5", "x32010, x32010, 5", "133211, 355433, 0", "xx0232, 320003, 1"
    })
    void strings_thatSoundTheSame_areCounted(String one, String other, int kept) {
        assertEquals(kept, Shape.parse(one).keptIn(Shape.parse(other)));
        assertEquals(kept, Shape.parse(other).keptIn(Shape.parse(one)));
    }

    /** Fingers that are taught come before those that cost a little less (common practice). */
    @ParameterizedTest
    @CsvSource({"x35553, -13331", "133211, 134211", "x32010, -32-1-", "xx0232, ---132"})
    void taughtFingersComeFirst(String shape, String fingers) {
        assertEquals(
                fingers,
                desk("standard").grips(Shape.parse(shape)).get(0).grip().fingers());
    }

    /** From C to Am one finger moves, and back; the change of a shape to itself is none. */
    @Test
    void theChangeBetweenTwoShapes() {
        Desk desk = desk("standard");
        Rung rung = Rung.of(3);
        Way there =
                desk.change(Shape.parse("x32010"), Shape.parse("x02210"), rung).orElseThrow();
        assertEquals(
                1,
                there.change().acts().stream().filter(a -> a.distanceMm() > 0).count());
        Way stays =
                desk.change(Shape.parse("x32010"), Shape.parse("x32010"), rung).orElseThrow();
        assertEquals(0, stays.change().neededSeconds(), 1e-9);
        int[] wide = IntStream.of(1, 9, 1, 9, 1, 9).toArray();
        assertTrue(desk.change(Shape.parse("x32010"), Shape.of(wide), rung).isEmpty());
    }
}
