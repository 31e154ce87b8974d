package underhand.hand;

import java.util.Objects;

/**
 * Who plays: a hand and its habits.
 *
 * @param spreads reach of each finger pair
 * @param thumb whether the thumb may come over the edge to stop the lowest string
 * @param changeFactor how much longer (above 1) or shorter this hand takes for a change than its rung's default
 */
public record Player(String name, FingerSpreads spreads, boolean thumb, double changeFactor) {

    public static final Player ADULT = new Player("Adult hand", FingerSpreads.ADULT, false, 1.0);

    public Player {
        Objects.requireNonNull(name, "name");
        Objects.requireNonNull(spreads, "spreads");
        if (!(changeFactor >= 0.2 && changeFactor <= 5)) {
            throw new IllegalArgumentException("changeFactor must be 0.2 to 5, was " + changeFactor);
        }
    }
}
