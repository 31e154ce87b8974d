package underhand.server.players;

/** What is measured of players' hands. */
public interface MeasuredHands {

    /**
     * How much longer, above 1, or shorter a player takes for changes than said of them; 1 while too little is known.
     *
     * @param rung the player's own
     */
    double factor(long playerId, int rung);
}
