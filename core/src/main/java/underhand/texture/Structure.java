package underhand.texture;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import underhand.chord.ChordSymbol;
import underhand.neck.Fretboard;
import underhand.neck.Shape;

/**
 * How a shape of a chord is built: which families it belongs to, which note is lowest. The one place where each family is
 * defined.
 */
public final class Structure {

    private static final int OCTAVE = 12;
    private static final int FIFTH = 7;

    /** Fretted notes of an open shape lie no further from the nut or capo. */
    private static final int NEAR_THE_NUT = 4;

    private final Shape shape;
    private final ChordSymbol chord;
    private final Fretboard board;
    private final boolean bassElsewhere;

    /** Strings that sound, from the lowest. */
    private final int[] strings;

    /** Their pitches, in the order of the strings, and ascending. */
    private final int[] pitches;

    private final int[] ascending;

    /** Steps above the root, a bit for each of the twelve. */
    private final int above;

    /** @param bassElsewhere whether somebody else plays root and written bass */
    public Structure(Shape shape, ChordSymbol chord, Fretboard board, boolean bassElsewhere) {
        this.shape = shape;
        this.chord = chord;
        this.board = board;
        this.bassElsewhere = bassElsewhere;
        this.strings = new int[shape.sounding()];
        this.pitches = new int[strings.length];
        int at = 0;
        int steps = 0;
        for (int string = 0; string < shape.strings(); string++) {
            if (!shape.isSilent(string)) {
                strings[at] = string;
                pitches[at] = board.midi(string, shape.fret(string));
                steps |= 1 << above(pitches[at]);
                at++;
            }
        }
        this.above = steps;
        this.ascending = pitches.clone();
        Arrays.sort(ascending);
    }

    private int above(int pitch) {
        return Math.floorMod(pitch - chord.root().pitchClass(), OCTAVE);
    }

    /** The names of all families it belongs to. */
    public List<String> families() {
        return Arrays.stream(Family.values())
                .filter(this::isOf)
                .map(Family::label)
                .toList();
    }

    /** Whether it belongs to a family. */
    public boolean isOf(Family family) {
        return switch (family) {
            case OPEN -> shape.openStrings() > 0 && shape.highestFret() <= NEAR_THE_NUT;
            case FORM -> form().isPresent();
            case SHELL -> isShell();
            case MUTED -> isMuted();
            case GUIDE ->
                strings.length == 2
                        && isAdjacent()
                        && count(third() | seventh()) == 2
                        && has(third())
                        && has(seventh());
            case DROP_2 -> isFourVoices() && isAdjacent() && isDropped(2);
            case DROP_3 -> isFourVoices() && isOneBelowThree() && isDropped(3);
            case TRIAD -> isTriad();
            case TENTH -> isTenth();
            case POWER -> isPower();
            case DROPPED -> isOnDroppedStrings();
        };
    }

    /** The form it is of, such as {@code A form at 5}. */
    public Optional<String> form() {
        return Forms.of(shape, chord, board);
    }

    /** Which tone of the chord is lowest, from its root as 0; -1 for none of them. */
    public int inversion() {
        List<ChordSymbol.Tone> tones = chord.withoutBass().tones();
        for (int i = 0; i < tones.size() && ascending.length > 0; i++) {
            if (tones.get(i).note().pitchClass() == ascending[0] % OCTAVE) {
                return i;
            }
        }
        return -1;
    }

    /** Whether two strings sound the same note of the chord. */
    public boolean isDoubled() {
        return Integer.bitCount(above) < strings.length;
    }

    private boolean has(int steps) {
        return (above & steps) != 0;
    }

    /** How many strings sound one of some steps. */
    private int count(int steps) {
        int count = 0;
        for (int pitch : pitches) {
            count += steps >> above(pitch) & 1;
        }
        return count;
    }

    /** The chord's tones of some numbers, a bit for each step above the root. */
    private int tones(int... numbers) {
        int steps = 0;
        for (ChordSymbol.Tone tone : chord.tones()) {
            for (int number : numbers) {
                steps |= tone.interval().number() == number
                        ? 1 << above(tone.note().pitchClass())
                        : 0;
            }
        }
        return steps;
    }

    /** The third, or what stands for it. */
    private int third() {
        int third = tones(3);
        return third != 0 ? third : tones(4, 2);
    }

    /** The seventh, or the sixth of a chord that has none. */
    private int seventh() {
        int seventh = tones(7);
        return seventh != 0 ? seventh : tones(6);
    }

    private boolean isAdjacent() {
        return strings.length > 0 && strings[strings.length - 1] - strings[0] == strings.length - 1;
    }

    /** Whether what belongs lowest is lowest, on the lowest string that sounds, and that is one of the two lowest. */
    private boolean isOnItsRoot() {
        int wanted = bassElsewhere ? chord.root().pitchClass() : chord.lowest().pitchClass();
        return strings.length > 0 && strings[0] <= 1 && pitches[0] == ascending[0] && pitches[0] % OCTAVE == wanted;
    }

    private boolean isShell() {
        if (shape.openStrings() > 0 || !isOnItsRoot() || strings.length < 3 || strings.length > 4) {
            return false;
        }
        boolean isCore = count(third()) >= 1 && count(seventh()) >= 1 && seventh() != 0;
        int top = 1 << above(pitches[strings.length - 1]);
        // What is neither root, third, fifth nor seventh may stand on top.
        boolean isColour = ((third() | seventh() | 1 | 1 << FIFTH) & top) == 0;
        return isCore && (strings.length == 3 || !isDoubled() && isColour);
    }

    private boolean isMuted() {
        if (shape.openStrings() > 0 || !isOnItsRoot() || strings.length < 4 || strings.length > 5) {
            return false;
        }
        // Past the silent string beside the root, or from the root on, no other is left out.
        boolean isOnSix = strings[0] == 0 && strings[1] == 2;
        boolean isOnFive = strings[0] == 1 && strings[1] <= 3;
        return isOnSix || isOnFive;
    }

    /** Whether each string sounds higher than the one below it. */
    private boolean isRising() {
        for (int i = 1; i < pitches.length; i++) {
            if (pitches[i] <= pitches[i - 1]) {
                return false;
            }
        }
        return true;
    }

    private boolean isFourVoices() {
        boolean isTriad = chord.type().intervals().size() == 3;
        return strings.length == 4 && shape.openStrings() == 0 && Integer.bitCount(above) == (isTriad ? 3 : 4);
    }

    private boolean isOneBelowThree() {
        return strings[3] - strings[1] == 2 && strings[1] - strings[0] == 2;
    }

    /** Whether the lowest voice is the n-th from the top of a close chord, dropped an octave. */
    private boolean isDropped(int fromTop) {
        if (!Arrays.equals(pitches, ascending)) {
            return false;
        }
        int raised = ascending[0] + OCTAVE;
        List<Integer> close = new ArrayList<>();
        for (int i = 1; i < ascending.length; i++) {
            close.add(ascending[i]);
        }
        close.add(raised);
        close.sort(null);
        int span = close.get(3) - close.get(0);
        boolean isDoubledTriad = chord.type().intervals().size() == 3;
        return (isDoubledTriad ? span <= OCTAVE : span < OCTAVE) && close.indexOf(raised) == 4 - fromTop;
    }

    private boolean isTriad() {
        if (strings.length != 3 || !isAdjacent() || Integer.bitCount(above) != 3) {
            return false;
        }
        // Of a seventh or a richer chord the upper three: the root is somebody else's.
        return chord.type().intervals().size() == 3 || bassElsewhere && (above & 1) == 0 && has(third());
    }

    private boolean isTenth() {
        if (strings.length != 2 || strings[1] - strings[0] < 2 || strings[1] - strings[0] > 3) {
            return false;
        }
        int apart = pitches[1] - pitches[0];
        boolean isRootLow =
                (above(pitches[0]) == 0) && (1 << above(pitches[1]) & tones(3)) != 0 && (apart == 15 || apart == 16);
        boolean isThirdLow =
                (above(pitches[1]) == 0) && (1 << above(pitches[0]) & tones(3)) != 0 && (apart == 8 || apart == 9);
        return isRootLow || isThirdLow;
    }

    private boolean isOnDroppedStrings() {
        boolean isLowThree = strings.length == 3 && strings[0] == 0 && isAdjacent();
        if (!isLowThree || !hasLowFifth(board) || !isRising()) {
            return false;
        }
        int top = 1 << above(pitches[2]);
        boolean isUnderOneFinger = above(pitches[0]) == 0 && above(pitches[1]) == FIFTH;
        boolean isOverItsThird = (1 << above(pitches[0]) & tones(3)) != 0 && above(pitches[1]) == 0;
        return isUnderOneFinger && (top & (1 | tones(2, 3))) != 0 || isOverItsThird && (top & tones(3)) != 0;
    }

    /** Whether one finger stops a root and its fifth on the two lowest strings. */
    public static boolean hasLowFifth(Fretboard board) {
        return board.midi(1, 0) - board.midi(0, 0) == FIFTH;
    }

    private boolean isPower() {
        int second = chord.type().has(3) ? 0 : tones(2);
        int allowed = 1 | 1 << FIFTH | second;
        return strings.length >= 2
                && strings.length <= 4
                && isAdjacent()
                && strings[0] <= 2
                && above(pitches[0]) == 0
                && isRising()
                && (above & ~allowed) == 0
                && has(1 << FIFTH);
    }
}
