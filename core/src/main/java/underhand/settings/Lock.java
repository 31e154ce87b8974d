package underhand.settings;

import java.util.Objects;
import java.util.Optional;
import underhand.hand.FingersReader;
import underhand.hand.Grip;
import underhand.input.FormatException;
import underhand.input.RangeException;
import underhand.neck.Shape;

/**
 * A decision of the player: a placement keeps a shape, or a region of the neck. It holds for the placement's repeats as well,
 * unless they have a lock of their own.
 *
 * @param placement index of the placement in the chart
 * @param part which of the placement's chords is meant where its reading has several; the first is 0
 */
public record Lock(int placement, int part, Kept kept) {

    /** What a placement keeps. Two are equal that allow the same. */
    public sealed interface Kept {

        /** Whether a grip is one of those allowed. */
        boolean holds(Grip grip);
    }

    /**
     * @param shape the only one allowed, its frets counted from the capo
     * @param fingers the player's own, a sign a string; empty leaves them to the planner
     */
    public record OneShape(Shape shape, Optional<String> fingers) implements Kept {

        /** @throws FormatException when the fingers do not fit the shape */
        public OneShape {
            Objects.requireNonNull(shape, "shape");
            fingers.ifPresent(f -> FingersReader.check(shape, f));
        }

        @Override
        public boolean holds(Grip grip) {
            return shape.equals(grip.shape())
                    && fingers.map(f -> f.equals(grip.fingers())).orElse(true);
        }
    }

    /** Frets, counted from the capo, between which every finger presses; open strings may sound. */
    public record Region(int lowestFret, int highestFret) implements Kept {

        public Region {
            if (lowestFret < 1 || highestFret < lowestFret) {
                throw new RangeException(
                        "locks",
                        "a region of the neck needs 1 <= lowest fret <= highest fret, was " + lowestFret + " to "
                                + highestFret);
            }
        }

        @Override
        public boolean holds(Grip grip) {
            return holds(grip.shape());
        }

        /** Whether all fingers of a shape press there. */
        public boolean holds(Shape shape) {
            for (int string = 0; string < shape.strings(); string++) {
                if (shape.isFretted(string) && (shape.fret(string) < lowestFret || shape.fret(string) > highestFret)) {
                    return false;
                }
            }
            return true;
        }
    }

    public Lock {
        RangeException.check("locks.placement", placement, 0, Integer.MAX_VALUE);
        RangeException.check("locks.part", part, 0, Integer.MAX_VALUE);
        Objects.requireNonNull(kept, "kept");
    }

    public static Lock onShape(int placement, Shape shape) {
        return new Lock(placement, 0, new OneShape(shape, Optional.empty()));
    }

    /** @throws FormatException when the fingers do not fit the shape */
    public static Lock onShape(int placement, Shape shape, String fingers) {
        return new Lock(placement, 0, new OneShape(shape, Optional.of(fingers)));
    }

    public static Lock onRegion(int placement, int lowestFret, int highestFret) {
        return new Lock(placement, 0, new Region(lowestFret, highestFret));
    }

    /** Whether a grip keeps it. */
    public boolean holds(Grip grip) {
        return kept.holds(grip);
    }
}
