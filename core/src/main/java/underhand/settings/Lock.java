package underhand.settings;

import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
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
 * @param capo fret of the capo from which its frets count; empty for the capo of the part, wherever it sits
 */
public record Lock(int placement, int part, Kept kept, OptionalInt capo) {

    /** A capo, and the semitones a song is moved by, together. */
    private static final int MOST_MOVED = 36;

    /** What a placement keeps. Two are equal that allow the same. */
    public sealed interface Kept {

        /** Whether a grip is one of those allowed. */
        boolean holds(Grip grip);

        /**
         * The same places on the neck, counted from a nut that lies so many frets lower.
         *
         * @return empty where an open string would have to be stopped, or a finger to press before the nut
         */
        Optional<Kept> moved(int frets);
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

        @Override
        public Optional<Kept> moved(int frets) {
            return shape.moved(frets).map(there -> new OneShape(there, fingers));
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

        @Override
        public Optional<Kept> moved(int frets) {
            return highestFret + frets < 1
                    ? Optional.empty()
                    : Optional.of(new Region(Math.max(1, lowestFret + frets), highestFret + frets));
        }
    }

    public Lock {
        RangeException.check("locks.placement", placement, 0, Integer.MAX_VALUE);
        RangeException.check("locks.part", part, 0, Integer.MAX_VALUE);
        Objects.requireNonNull(kept, "kept");
        capo.ifPresent(fret -> RangeException.check("locks.capo", fret, -MOST_MOVED, MOST_MOVED));
    }

    /** A lock of which the frets count from the capo of the part, wherever it sits. */
    public Lock(int placement, int part, Kept kept) {
        this(placement, part, kept, OptionalInt.empty());
    }

    /** What is kept with the capo at a fret: the same places of the neck; empty where they cannot be reached. */
    public Optional<Kept> at(int fret) {
        return kept.moved(capo.orElse(fret) - fret);
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
}
