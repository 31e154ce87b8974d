package underhand.hand;

import java.util.HashSet;
import java.util.Objects;
import java.util.Set;
import underhand.input.RangeException;
import underhand.neck.Shape;

/**
 * Who plays: a hand and its habits.
 *
 * @param spreads reach of each finger pair
 * @param thumb whether the thumb may come over the edge to stop the lowest string
 * @param changeFactor how much longer (above 1) or shorter this hand takes for a change than its rung's default
 * @param shapes shapes the player has on top of those taught up to the rung, counted from the capo
 */
public record Player(FingerSpreads spreads, boolean thumb, double changeFactor, Set<Shape> shapes) {

    private static final double LEAST_FACTOR = 0.2;
    private static final double MOST_FACTOR = 5;

    public static final Player ADULT = new Player(FingerSpreads.ADULT, false, 1.0);

    /** A player who has no shapes but the taught ones. */
    public Player(FingerSpreads spreads, boolean thumb, double changeFactor) {
        this(spreads, thumb, changeFactor, Set.of());
    }

    public Player {
        Objects.requireNonNull(spreads, "spreads");
        shapes = Set.copyOf(shapes);
        RangeException.check("changeFactor", changeFactor, LEAST_FACTOR, MOST_FACTOR);
    }

    /** The same hand so many times as long for a change; within what a hand can be. */
    public Player times(double factor) {
        double all = Math.max(LEAST_FACTOR, Math.min(MOST_FACTOR, changeFactor * factor));
        return factor == 1 ? this : new Player(spreads, thumb, all, shapes);
    }

    /** The same hand with more shapes of its own. */
    public Player knowing(Set<Shape> more) {
        Set<Shape> all = new HashSet<>(shapes);
        return all.addAll(more) ? new Player(spreads, thumb, changeFactor, all) : this;
    }

    /** The same hand with the thumb over the edge where that helps. */
    public Player withThumb() {
        return new Player(spreads, true, changeFactor, shapes);
    }
}
