package underhand.picking;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import underhand.chord.ChordSymbol;
import underhand.neck.Shape;

class RightHandTest {

    static List<RightHand.Pluck> plucks(PickingPattern pattern, String shape, String chord, double beatSeconds) {
        PickedStrings strings = PickedStrings.of(Shape.parse(shape), ChordSymbol.parse(chord), PatternsTest.BOARD);
        List<RightHand.Pluck> plucks = new ArrayList<>();
        for (PatternRun.Struck struck :
                PatternRun.over(pattern, pattern.metre(), 1, pattern.metre().beats())) {
            List<Integer> struckStrings = strings.strings(struck.step());
            plucks.add(new RightHand.Pluck(
                    struck.from() * beatSeconds,
                    struckStrings,
                    struckStrings.stream().map(strings::role).toList()));
        }
        return plucks;
    }

    static String fingers(School school, String steps, double fast, double beatSeconds) {
        PickingPattern pattern = PickingPattern.parse("x", "x", "4/4", false, 1, steps);
        return letters(new RightHand(school, fast).fingers(plucks(pattern, "x32010", "C", beatSeconds)));
    }

    static String letters(List<List<Finger>> fingers) {
        return fingers.stream()
                .map(together -> together.stream().map(Finger::letter).collect(Collectors.joining()))
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
}
