package underhand.server.players;

import java.time.Instant;
import java.util.Optional;
import java.util.Set;
import underhand.neck.Shape;

/** What is measured of players' hands. */
public interface MeasuredHands {

    /**
     * How much longer, above 1, or shorter a player takes for changes than said of them; 1 while too little is known.
     *
     * @param rung the player's own
     * @param from runs before that time say nothing any more; empty where all count
     */
    double factor(long playerId, int rung, Optional<Instant> from);

    /** Shapes that are the player's own by now, as the log shows. */
    Set<Shape> mastered(long playerId);
}
