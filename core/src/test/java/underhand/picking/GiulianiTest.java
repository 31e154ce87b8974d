package underhand.picking;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import underhand.chart.Metre;
import underhand.chord.ChordSymbol;
import underhand.neck.Shape;
import underhand.pitch.Pitch;

/**
 * The formulas of M. Giuliani, Studio per la chitarra op. 1, Vienna 1812, first part: one bar for the right hand over C, the
 * same over G7 (public domain). Those of the opening are written out from memory, without their numbers in print; since memory
 * may miss one, every formula that can be written with so many strokes of p, i, m and a is compared too.
 */
class GiulianiTest {

    private static final String C = "x32010";
    private static final String G7 = "320001";

    /** Seconds a stroke: sixteenths at 120 beats a minute, faster than one finger follows itself. */
    private static final double FAST = 0.125;

    /** What each finger plucks: the thumb the root. */
    private static final List<Voice> VOICES = List.of(
            new Voice("r", "p", "C3", "G2"),
            new Voice("l", "i", "G3", "G3"),
            new Voice("m", "m", "C4", "B3"),
            new Voice("h", "a", "E4", "F4"));

    private static final Voice OTHER_BASS = new Voice("b", "p", "E3", "D3");

    /** Strings plucked together, or one: as a step is written, its fingers, its notes over each chord. */
    private record Voice(String step, String fingers, String overC, String overG7) {

        Voice with(Voice higher) {
            return new Voice(
                    step + higher.step,
                    fingers + higher.fingers,
                    overC + "+" + higher.overC,
                    overG7 + "+" + higher.overG7);
        }
    }

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
    void openingFormulas_overCAndG7_giveTheseNotesAndFingers(
            String metre, String steps, String overC, String overG7, String fingers) {
        PickingPattern pattern = PickingPattern.parse("g", "g", metre, false, 1, steps);
        assertEquals(overC, notes(pattern, C, "C"));
        assertEquals(overG7, notes(pattern, G7, "G7"));
        assertEquals(fingers, fingersOf(pattern, C, "C"));
        assertEquals(fingers, fingersOf(pattern, G7, "G7"));
    }

    @Test
    void everyFormulaOfFourStrokes_alsoTogether_isThoseNotesAndFingers() {
        List<Voice> strokes = new ArrayList<>();
        for (int set = 1; set < 1 << VOICES.size(); set++) {
            Voice together = null;
            for (int i = 0; i < VOICES.size(); i++) {
                if ((set & 1 << i) != 0) {
                    together = together == null ? VOICES.get(i) : together.with(VOICES.get(i));
                }
            }
            strokes.add(together);
        }
        assertEquals(50_625, assertEveryFormula(strokes, new Metre(4, 4)));
    }

    @Test
    void everyFormulaOfSixSingleStrokes_alsoWithTheOtherBass_isThoseNotesAndFingers() {
        List<Voice> strokes = new ArrayList<>(VOICES);
        strokes.add(OTHER_BASS);
        assertEquals(15_625, assertEveryFormula(strokes, new Metre(6, 8)));
    }

    /** Compares all formulas of one stroke a beat; gives how many. */
    private static int assertEveryFormula(List<Voice> strokes, Metre metre) {
        int count = (int) Math.pow(strokes.size(), metre.beats());
        for (int number = 0; number < count; number++) {
            List<Voice> formula = new ArrayList<>();
            for (int rest = number; formula.size() < metre.beats(); rest /= strokes.size()) {
                formula.add(strokes.get(rest % strokes.size()));
            }
            String steps = text(formula, Voice::step);
            PickingPattern pattern = PickingPattern.parse("g", "g", metre.toString(), false, 1, steps);
            assertEquals(text(formula, Voice::overC), notes(pattern, C, "C"), steps);
            assertEquals(text(formula, Voice::overG7), notes(pattern, G7, "G7"), steps);
            assertEquals(text(formula, Voice::fingers), fingersOf(pattern, G7, "G7"), steps);
            if (alternates(formula)) {
                assertEquals(text(formula, Voice::fingers), fingersOf(pattern, C, "C", FAST), steps);
            }
        }
        return count;
    }

    private static String text(List<Voice> formula, Function<Voice, String> part) {
        return formula.stream().map(part).collect(Collectors.joining(" "));
    }

    /** Whether no finger plucks twice in a row, so that the formula can be played fast as it is. */
    private static boolean alternates(List<Voice> formula) {
        for (int i = 1; i < formula.size(); i++) {
            String before = formula.get(i - 1).fingers;
            if (formula.get(i).fingers.chars().anyMatch(finger -> before.indexOf(finger) >= 0)) {
                return false;
            }
        }
        return true;
    }

    private static String fingersOf(PickingPattern pattern, String frets, String chord) {
        return fingersOf(pattern, frets, chord, 3 * FAST);
    }

    private static String fingersOf(PickingPattern pattern, String frets, String chord, double beatSeconds) {
        return RightHandTest.letters(
                new RightHand(School.PIMA, 2 * FAST).fingers(RightHandTest.plucks(pattern, frets, chord, beatSeconds)));
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
