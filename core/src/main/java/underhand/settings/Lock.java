package underhand.settings;

import java.util.Objects;
import underhand.input.RangeException;
import underhand.neck.Shape;

/**
 * A decision of the player: a placement keeps a shape, or a region of the neck.
 *
 * <p>A lock on a placement holds for its repeats as well, unless they have one of their own.
 */
public sealed interface Lock {

    /** Index of the placement in the chart. */
    int placement();

    /** Which of the placement's chords is meant where its reading has several; the first is 0. */
    int part();

    /** @param shape frets counted from the capo */
    record OnShape(int placement, int part, Shape shape) implements Lock {

        public OnShape {
            Objects.requireNonNull(shape, "shape");
            check(placement, part);
        }
    }

    /** Frets, counted from the capo, between which every finger presses; open strings may sound. */
    record OnRegion(int placement, int part, int lowestFret, int highestFret) implements Lock {

        public OnRegion {
            check(placement, part);
            if (lowestFret < 1 || highestFret < lowestFret) {
                throw new RangeException(
                        "locks",
                        "a region of the neck needs 1 <= lowest fret <= highest fret, was " + lowestFret + " to "
                                + highestFret);
            }
        }

        public boolean holds(Shape shape) {
            for (int string = 0; string < shape.strings(); string++) {
                if (shape.isFretted(string) && (shape.fret(string) < lowestFret || shape.fret(string) > highestFret)) {
                    return false;
                }
            }
            return true;
        }
    }

    static Lock onShape(int placement, Shape shape) {
        return new OnShape(placement, 0, shape);
    }

    static Lock onRegion(int placement, int lowestFret, int highestFret) {
        return new OnRegion(placement, 0, lowestFret, highestFret);
    }

    private static void check(int placement, int part) {
        RangeException.check("locks.placement", placement, 0, Integer.MAX_VALUE);
        RangeException.check("locks.part", part, 0, Integer.MAX_VALUE);
    }
}
