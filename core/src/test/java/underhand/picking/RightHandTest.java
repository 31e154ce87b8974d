package underhand.picking;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import underhand.chart.Metre;
import underhand.chord.ChordSymbol;
import underhand.neck.Shape;
import underhand.pitch.Pitch;

class RightHandTest {

    private static List<RightHand.Pluck> plucks(
            PickingPattern pattern, String shape, String chord, double beatSeconds) {
        PickedStrings strings = PickedStrings.of(Shape.parse(shape), ChordSymbol.parse(chord), PatternsTest.BOARD);
        List<RightHand.Pluck> plucks = new ArrayList<>();
        for (PatternRun.Struck struck :
                PatternRun.over(pattern, pattern.metre(), 1, pattern.metre().beats())) {
            List<Integer> struckStrings = strings.strings(struck.step());
            List<Optional<Role>> roles = new ArrayList<>();
            ((Step.Pick) struck.step()).roles().forEach(r -> roles.add(Optional.of(r)));
            roles.addAll(Collections.nCopies(struckStrings.size() - roles.size(), Optional.empty()));
            plucks.add(new RightHand.Pluck(struck.from() * beatSeconds, struckStrings, roles));
        }
        return plucks;
    }

    private static String fingers(School school, String steps, double fast, double beatSeconds) {
        PickingPattern pattern = PickingPattern.parse("x", "x", "4/4", false, 1, steps);
        return new RightHand(school, fast)
                .fingers(plucks(pattern, "x32010", "C", beatSeconds)).stream()
                        .map(f -> f.stream().map(Finger::letter).collect(Collectors.joining()))
                        .collect(Collectors.joining(" "));
    }

    /** The two schools' fingers on common patterns; common practice. */
    @ParameterizedTest
    @CsvSource({
        "PIMA, r l m h, p i m a",
        "THUMB_LED, r l m h, p p p i",
        "PIMA, r h m l, p a m i",
        "PIMA, r lmh b lmh, p ima p ima",
        "PIMA, rlmh . . ., pima",
        "THUMB_LED, rh l m h, pi p p i",
        "PIMA, r l m h r h m l, p i m a p a m i",
        "THUMB_LED, 5 3 2 1, p p p i",
    })
    void fingers_atEase_areTheSchoolsOwn(School school, String steps, String expected) {
        assertEquals(expected, fingers(school, steps, 0.2, 0.8));
    }

    /** A pattern by itself, over a chord that sounds on every string. */
    @ParameterizedTest
    @CsvSource({
        "PIMA, r l m h, p i m a",
        "THUMB_LED, r l m h, p p p i",
        "PIMA, rlmh . lmh ., pima ima",
        "PIMA, r 3 b 2, p i p m",
        "PIMA, r . b ., p p",
    })
    void fingers_ofAPattern_areThoseOfItsSecondTime(School school, String steps, String expected) {
        PickingPattern pattern = PickingPattern.parse("x", "x", "4/4", false, 1, steps);
        assertEquals(expected, String.join(" ", new RightHand(school, 0.15).fingers(pattern, 0.5)));
    }

    @Test
    void fingers_fast_alternateInsteadOfRepeating() {
        String fast = fingers(School.THUMB_LED, "r l m h", 0.2, 0.15);
        String[] each = fast.split(" ");
        for (int i = 1; i < each.length; i++) {
            assertTrue(!each[i].equals(each[i - 1]), fast);
        }
        assertEquals(
                Set.of("i", "m"),
                Set.of(fingers(School.PIMA, "3 3 . .", 0.2, 0.15).split(" ")),
                "one string, two fingers");
    }

    /** No shipped pattern asks one finger for two fast notes in a row at its own fastest tempo, in either school. */
    @ParameterizedTest
    @EnumSource(School.class)
    void fingers_ofEveryPatternAtItsFastest_neverRepeatFast(School school) {
        double fast = 0.16;
        for (PickingPattern pattern : Patterns.all()) {
            if (pattern.isStrummed()) {
                continue;
            }
            double beatSeconds = 60.0 / pattern.fastest();
            List<RightHand.Pluck> twice = new ArrayList<>(plucks(pattern, "x32010", "C", beatSeconds));
            for (RightHand.Pluck pluck : plucks(pattern, "320003", "G", beatSeconds)) {
                twice.add(new RightHand.Pluck(
                        pluck.seconds() + pattern.metre().beats() * beatSeconds, pluck.strings(), pluck.roles()));
            }
            List<List<Finger>> fingers = new RightHand(school, fast).fingers(twice);
            for (int i = 1; i < twice.size(); i++) {
                boolean isFast = twice.get(i).seconds() - twice.get(i - 1).seconds() < fast;
                boolean shared = !Collections.disjoint(fingers.get(i), fingers.get(i - 1));
                assertTrue(!(isFast && shared), pattern + " " + school + " " + fingers);
            }
        }
    }

    /**
     * Right-hand formulas of M. Giuliani, Studio per la chitarra op. 1, Vienna 1812, over C and G7 (public domain; from
     * memory, so the formulas are checked, not their numbers in print): notes and fingers, note for note.
     */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "3/4; r lmh lmh; C3 G3+C4+E4 G3+C4+E4; G2 G3+B3+F4 G3+B3+F4; p ima ima",
                "4/4; r l m h; C3 G3 C4 E4; G2 G3 B3 F4; p i m a",
                "4/4; r h m l; C3 E4 C4 G3; G2 F4 B3 G3; p a m i",
                "6/8; r l m h m l; C3 G3 C4 E4 C4 G3; G2 G3 B3 F4 B3 G3; p i m a m i",
                "6/8; r h m l m h; C3 E4 C4 G3 C4 E4; G2 F4 B3 G3 B3 F4; p a m i m a",
                "4/4; r m l m; C3 C4 G3 C4; G2 B3 G3 B3; p m i m",
                "4/4; r l h m; C3 G3 E4 C4; G2 G3 F4 B3; p i a m",
                "4/4; r l m l; C3 G3 C4 G3; G2 G3 B3 G3; p i m i",
                "4/4; r h l m; C3 E4 G3 C4; G2 F4 G3 B3; p a i m",
                "4/4; r m l h; C3 C4 G3 E4; G2 B3 G3 F4; p m i a",
                "4/4; r m h l; C3 C4 E4 G3; G2 B3 F4 G3; p m a i",
                "4/4; rh l m l; C3+E4 G3 C4 G3; G2+F4 G3 B3 G3; pa i m i",
                "3/4; r l m h m l; C3 G3 C4 E4 C4 G3; G2 G3 B3 F4 B3 G3; p i m a m i",
                "4/4; r l m h r m h m; C3 G3 C4 E4 C3 C4 E4 C4; G2 G3 B3 F4 G2 B3 F4 B3; p i m a p m a m",
            })
    void giulianiFormulas_overCAndG7_giveTheseNotesAndFingers(
            String metre, String steps, String overC, String overG7, String fingers) {
        PickingPattern pattern = PickingPattern.parse("g", "g", metre, false, 1, steps);
        assertEquals(overC, notes(pattern, "x32010", "C"));
        assertEquals(overG7, notes(pattern, "320001", "G7"));
        String found = new RightHand(School.PIMA, 0.2)
                .fingers(plucks(pattern, "x32010", "C", 0.6)).stream()
                        .map(f -> f.stream().map(Finger::letter).collect(Collectors.joining()))
                        .collect(Collectors.joining(" "));
        assertEquals(fingers, found);
    }

    private static String notes(PickingPattern pattern, String frets, String chord) {
        Shape shape = Shape.parse(frets);
        Metre metre = pattern.metre();
        PickedStrings strings = PickedStrings.of(shape, ChordSymbol.parse(chord), PatternsTest.BOARD);
        return PatternRun.over(pattern, metre, 1, metre.beats()).stream()
                .map(s -> strings.strings(s.step()).stream()
                        .map(string -> Pitch.ofMidi(PatternsTest.BOARD.midi(string, shape.fret(string)))
                                .toString())
                        .collect(Collectors.joining("+")))
                .collect(Collectors.joining(" "));
    }
}
