package underhand.neck;

import java.util.Arrays;
import java.util.Optional;

/**
 * What is left of the standard tuning in another: which of its strings each string is, and how far it is retuned. All strings may be
 * higher or lower together, and a string may be an octave off: shapes and names of forms stay what they are.
 */
public final class Retuning {

    private static final int OCTAVE = 12;

    /** Shapes are carried from here, so that a string tuned higher still leaves a fret to go down to. */
    private static final int ROOM = OCTAVE;

    /** The standard string that each string is; outside 0 to 5 for none. */
    private final int shift;

    /** How much higher each string is than the standard one, all moved together left out; in half steps. */
    private final int[] higher;

    private final boolean[] isKnown;

    private Retuning(int shift, int[] higher, boolean[] isKnown) {
        this.shift = shift;
        this.higher = higher;
        this.isKnown = isKnown;
    }

    /** Strings are matched so that most of them are as in the standard tuning; of two such ways by the highest string. */
    public static Retuning of(Tuning tuning) {
        Retuning best = null;
        int most = -1;
        int first = Tuning.STANDARD.size() - tuning.size();
        for (int tried = 0; tried <= Math.abs(first); tried++) {
            int shift = first - tried * Integer.signum(first);
            for (int together = 0; together < OCTAVE; together++) {
                Retuning way = way(tuning, shift, together);
                if (way.kept() > most) {
                    most = way.kept();
                    best = way;
                }
            }
        }
        return best;
    }

    private static Retuning way(Tuning tuning, int shift, int together) {
        int[] higher = new int[tuning.size()];
        boolean[] isKnown = new boolean[tuning.size()];
        for (int string = 0; string < higher.length; string++) {
            int standard = string + shift;
            isKnown[string] = standard >= 0 && standard < Tuning.STANDARD.size();
            if (isKnown[string]) {
                int apart = tuning.midi(string, 0, 0) - Tuning.STANDARD.midi(standard, 0, 0) - together;
                higher[string] = Math.floorMod(apart + OCTAVE / 2, OCTAVE) - OCTAVE / 2;
            }
        }
        return new Retuning(shift, higher, isKnown);
    }

    private int kept() {
        int kept = 0;
        for (int string = 0; string < higher.length; string++) {
            kept += isKnown[string] && higher[string] == 0 ? 1 : 0;
        }
        return kept;
    }

    /** Whether all six strings are as in the standard tuning, maybe all of them higher or lower, maybe with others beside them. */
    public boolean isStandard() {
        return kept() == Tuning.STANDARD.size();
    }

    /**
     * A shape of the standard tuning on these strings, with its notes: where a string is retuned the finger goes after it.
     *
     * @param shape six strings, at its place on the neck
     * @param most how many of its strings may be retuned
     * @return empty where a string is missing, more are retuned, or a finger would leave the neck
     */
    public Optional<Shape> carry(Shape shape, int most) {
        int[] frets = new int[higher.length];
        Arrays.fill(frets, Shape.SILENT);
        int left = shape.sounding();
        int retuned = 0;
        for (int string = 0; string < frets.length; string++) {
            if (isKnown[string] && !shape.isSilent(string + shift)) {
                frets[string] = shape.fret(string + shift) - higher[string];
                retuned += higher[string] == 0 ? 0 : 1;
                left--;
                if (frets[string] < 0 || frets[string] > Guitar.MOST_FRETS) {
                    return Optional.empty();
                }
            }
        }
        return left > 0 || retuned > most ? Optional.empty() : Optional.of(Shape.of(frets));
    }

    /** The same for a shape that may be anywhere on the neck, given and answered with its lowest finger at the first fret. */
    public Optional<Shape> carryMovable(Shape shape, int most) {
        return shape.moved(ROOM - 1).flatMap(up -> carry(up, most)).map(Shape::atFirstFret);
    }
}
