package underhand.move;

import java.util.Objects;

/**
 * What one finger does in a change.
 *
 * @param finger 1 to 4, or {@link underhand.hand.Grip#THUMB}
 * @param distanceMm way of its tip; 0 when it stays or lifts
 */
public record FingerAct(int finger, Act act, double distanceMm) {

    /** The five things a finger can do; a finger that is free before and after does none of them. */
    public enum Act {
        /** Same string, same fret. */
        STAYS("stays"),
        /** Same string, other fret, contact kept: a guide finger. */
        SLIDES("slides"),
        /** Lifted to another string. */
        TRAVELS("travels"),
        /** Was free, presses now. */
        LANDS("lands"),
        /** Pressed, is free now. */
        LIFTS("lifts");

        private final String label;

        Act(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    public FingerAct {
        Objects.requireNonNull(act, "act");
    }
}
