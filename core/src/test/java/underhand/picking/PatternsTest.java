package underhand.picking;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import underhand.chart.Metre;
import underhand.chord.ChordSymbol;
import underhand.hand.Rung;
import underhand.input.FormatException;
import underhand.neck.Fretboard;
import underhand.neck.Guitar;
import underhand.neck.Shape;
import underhand.neck.Tuning;

class PatternsTest {

    static final Fretboard BOARD = new Fretboard(Guitar.ACOUSTIC, Tuning.STANDARD, 0);

    static List<PickingPattern> all() {
        return Patterns.all();
    }

    @Test
    void all_shipped_coverMetresSwingAndBothHands() {
        assertTrue(all().size() >= 24, "only " + all().size());
        Set<Metre> metres = all().stream().map(PickingPattern::metre).collect(Collectors.toSet());
        assertTrue(metres.containsAll(
                List.of(new Metre(4, 4), new Metre(3, 4), new Metre(6, 8), new Metre(12, 8), new Metre(2, 4))));
        assertTrue(all().stream().filter(PickingPattern::swing).count() >= 3);
        assertTrue(all().stream().filter(PickingPattern::isStrummed).count() >= 10);
        assertTrue(all().stream().filter(p -> !p.isStrummed()).count() >= 14);
        for (int rung = 1; rung <= 4; rung++) {
            int level = rung;
            assertTrue(all().stream().anyMatch(p -> p.lowestRung() == level), "none on rung " + rung);
        }
        Set<String> steps = new HashSet<>();
        all().forEach(p -> assertTrue(steps.add(p.metre() + p.toSteps() + p.swing()), "twice: " + p));
    }

    @ParameterizedTest
    @MethodSource("all")
    void steps_writtenAndReadAgain_areTheSame(PickingPattern pattern) {
        assertEquals(pattern.steps(), StepReader.read(pattern.toSteps()));
    }

    /** Whatever its tempo, a shipped pattern of a rung stays within what a hand of that rung can do. */
    @ParameterizedTest
    @MethodSource("all")
    void pattern_atItsFastest_staysInStrokesASecondOfTheTopRung(PickingPattern pattern) {
        double strokes = pattern.densestBeat() * pattern.fastest() / 60.0;
        assertTrue(strokes <= RightHandLimit.of(Rung.of(5)).strokesASecond(), pattern + " at " + strokes);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "D D x D; 3; write a dot",
                "r q; 2; write a dot",
                "rr l m h; 1; named twice",
                "D U D U D U U D; 7; keeps going down and up",
                "rlmh5 . . .; 1; at most four strings",
            })
    void steps_unreadable_nameTheStepAndWhatToDo(String steps, int step, String words) {
        FormatException e =
                assertThrows(FormatException.class, () -> PickingPattern.parse("x", "x", "4/4", false, 1, steps));
        assertEquals(step, e.column());
        assertTrue(e.getMessage().contains(words), e.getMessage());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "r l m; has 4 steps or a multiple",
                ". . . .; strikes at least once",
                "D r D r; not both",
            })
    void pattern_impossible_saysWhy(String steps, String words) {
        IllegalArgumentException e = assertThrows(
                IllegalArgumentException.class, () -> PickingPattern.parse("x", "x", "4/4", false, 1, steps));
        assertTrue(e.getMessage().contains(words), e.getMessage());
    }

    /** Common practice: the thumb has the basses, the fingers the three highest strings that sound. */
    @ParameterizedTest
    @CsvSource({
        // shape, chord, root, other bass, low, middle, high (strings from the lowest, 0)
        "x32010, C, 1, 2, 3, 4, 5",
        "320003, G, 0, 2, 3, 4, 5",
        "xx0232, D, 2, 2, 3, 4, 5",
        "022000, Em, 0, 1, 3, 4, 5",
        "x02210, Am, 1, 2, 3, 4, 5",
        "x7577x, Em9, 1, 1, 2, 3, 4",
        "5x565x, A7, 0, 0, 2, 3, 4",
        "133211, F, 0, 1, 3, 4, 5",
    })
    void roles_ofAGrip_areThese(String shape, String chord, int root, int other, int low, int middle, int high) {
        PickedStrings strings = PickedStrings.of(Shape.parse(shape), ChordSymbol.parse(chord), BOARD);
        assertEquals(root, strings.string(Role.ROOT).getAsInt());
        assertEquals(other, strings.string(Role.OTHER_BASS).getAsInt());
        assertEquals(low, strings.string(Role.LOW).getAsInt());
        assertEquals(middle, strings.string(Role.MIDDLE).getAsInt());
        assertEquals(high, strings.string(Role.HIGH).getAsInt());
    }

    @Test
    void roles_ofThreeStrings_lackTheLowTreble() {
        PickedStrings strings = PickedStrings.of(Shape.parse("xxx787"), ChordSymbol.parse("G"), BOARD);
        assertTrue(strings.string(Role.LOW).isEmpty());
        Step step = StepReader.read("l").get(0);
        assertTrue(strings.lacking(step).orElseThrow().contains("only 3 strings"));
        assertTrue(strings.lacking(StepReader.read("6").get(0)).orElseThrow().contains("string 6 does not sound"));
        assertTrue(strings.lacking(StepReader.read("21").get(0)).isEmpty());
    }

    /** A string without a role of its own is counted from the top, however many strings are below. */
    @ParameterizedTest
    @CsvSource({"B1 E2 A2 D3 G3 B3 E4, xx133xx", "E2 A2 D3 G3 B3 E4, x133xx", "D3 G3 B3 E4, 33xx"})
    void role_ofAStringOutsideTheGrip_isThatOfAFullGrip(String tuning, String frets) {
        Fretboard board = new Fretboard(Guitar.ACOUSTIC, Tuning.parse(tuning), 0);
        Shape shape = Shape.parse(frets);
        PickedStrings strings = PickedStrings.of(shape, ChordSymbol.parse("Bb5"), board);
        assertEquals(Role.MIDDLE, strings.role(shape.strings() - 2));
        assertEquals(Role.HIGH, strings.role(shape.strings() - 1));
    }

    private static String run(String steps, double beat, double beats) {
        PickingPattern pattern = PickingPattern.parse("x", "x", "4/4", false, 1, steps);
        return PatternRun.over(pattern, Metre.COMMON, beat, beats).stream()
                .map(s -> s.from() + ":" + s.step())
                .collect(Collectors.joining(" "));
    }

    @Test
    void run_ofAStrum_goesOnThroughTheBar() {
        assertEquals("0.0:D 1.0:D 1.5:U", run("D . D U . U D U", 1, 2));
        assertEquals(
                "0.0:D 0.5:U 1.0:D 1.5:U", run("D . D U . U D U", 3, 2), "the chord is struck on beat 3 all the same");
        assertEquals("0.0:D 1.0:D 1.5:U 2.5:U 3.0:D 3.5:U 4.0:D 5.0:D 5.5:U", run("D . D U . U D U", 1, 6));
        assertEquals("0.0:U 0.5:D 1.0:U", run("D . D U . U D U", 3.5, 1.5));
    }

    @Test
    void run_ofAPick_beginsAnewWithTheChord() {
        assertEquals("0.0:r 0.5:l 1.0:m 1.5:h", run("r l m h r l m h", 3, 2));
        assertEquals("0.0:r 0.5:l 1.0:m", run("r l m h r l m h", 2, 1.5));
    }

    @Test
    void run_inAnotherMetre_isAStrokeABeat() {
        PickingPattern waltz = Patterns.of("waltz-bass").orElseThrow();
        assertEquals(4, PatternRun.over(waltz, Metre.COMMON, 1, 4).size());
        assertEquals(3, PatternRun.over(waltz, new Metre(3, 4), 1, 3).size());
    }

    /** A part never strikes faster than its pattern, whatever the chords' lengths. */
    @Test
    void run_overOddLengths_keepsAStepApart() {
        for (PickingPattern pattern : all()) {
            for (double beats : new double[] {0.5, 1, 4 / 3.0, 1.5, 2, 2.75, 4, 7}) {
                for (double beat : new double[] {1, 1.5, 2, 7 / 3.0}) {
                    List<PatternRun.Struck> run = PatternRun.over(pattern, pattern.metre(), beat, beats);
                    assertEquals(0, run.get(0).from(), 1e-9);
                    for (int i = 1; i < run.size(); i++) {
                        double gap = run.get(i).from() - run.get(i - 1).from();
                        assertTrue(gap > pattern.stepBeats() - 1e-6, pattern + " at " + beat + " for " + beats);
                    }
                    double left = beats - run.get(run.size() - 1).from();
                    assertTrue(run.size() == 1 || left > pattern.stepBeats() - 1e-6, pattern + " " + left);
                }
            }
        }
    }

    @Test
    void plan_choosesBySectionAndVariesEveryFourthBar() {
        assertFalse(Patterns.of("folk-strum").orElseThrow().variation().isEmpty());
        assertTrue(Patterns.of("no-such").isEmpty());
    }
}
