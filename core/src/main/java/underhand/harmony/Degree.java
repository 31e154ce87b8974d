package underhand.harmony;

import java.util.Locale;
import underhand.chord.ChordSymbol;
import underhand.chord.ChordType;
import underhand.pitch.Interval;
import underhand.pitch.Key;
import underhand.pitch.Mode;

/**
 * The degree of a chord in a key as a Roman numeral: {@code V7}, {@code iv}, {@code ♭VII}. Capitals have a major third,
 * small letters a minor one, {@code °} and {@code ø} a diminished fifth; altered roots are counted against the major
 * scale in major and the natural minor scale in minor.
 */
public final class Degree {

    private static final String[] NUMERALS = {"I", "II", "III", "IV", "V", "VI", "VII"};
    private static final Interval MINOR_THIRD = Interval.parse("m3");
    private static final Interval DIMINISHED_FIFTH = Interval.parse("d5");
    private static final Interval AUGMENTED_FIFTH = Interval.parse("A5");
    private static final Interval MINOR_SEVENTH = Interval.parse("m7");
    private static final Interval MAJOR_SEVENTH = Interval.parse("M7");

    private Degree() {}

    public static String of(ChordSymbol chord, Key key) {
        int above = Math.floorMod(chord.root().pitchClass() - key.tonic().pitchClass(), 12);
        int step = step(above, key.mode());
        int off = Math.floorMod(above - key.mode().semitones(step) + 6, 12) - 6;
        boolean minor = chord.type().hasInterval(MINOR_THIRD);
        String numeral = NUMERALS[step];
        return (off < 0 ? "♭" : off > 0 ? "♯" : "")
                + (minor ? numeral.toLowerCase(Locale.ROOT) : numeral)
                + quality(chord.type());
    }

    /** The scale step of a root; one between two steps is the upper one lowered, but the fourth is raised. */
    private static int step(int above, Mode mode) {
        int degree = mode.degreeOf(above);
        if (degree == 0) {
            boolean raised = above == 6 || mode == Mode.MINOR && (above == 9 || above == 11);
            degree = mode.degreeOf(raised ? above - 1 : above + 1);
        }
        return degree - 1;
    }

    private static String quality(ChordType type) {
        boolean diminished = type.hasInterval(MINOR_THIRD) && type.hasInterval(DIMINISHED_FIFTH);
        if (diminished && type.hasInterval(MINOR_SEVENTH)) {
            return "ø7";
        }
        String fifth = diminished ? "°" : type.hasInterval(AUGMENTED_FIFTH) ? "+" : "";
        String seventh = type.hasInterval(MAJOR_SEVENTH) ? "maj7" : type.has(7) ? "7" : type.has(6) ? "6" : "";
        String suspended = type.has(4) ? "sus4" : type.has(2) ? "sus2" : "";
        return fifth + seventh + suspended;
    }
}
