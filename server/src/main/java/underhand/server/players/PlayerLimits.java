package underhand.server.players;

import underhand.hand.FingerSpreads;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.server.platform.InputException;

/**
 * What a player's hand can do.
 *
 * @param rung level the player is on
 * @param comfortableMm how far fingers 1 and 4 reach apart at ease, in mm
 * @param widestMm how far at most; never raised by the application itself
 * @param thumb whether the thumb may stop the lowest string
 * @param changeFactor how much longer (above 1) or shorter a change takes than the rung's default
 */
public record PlayerLimits(
        String name, int rung, double comfortableMm, double widestMm, boolean thumb, double changeFactor) {

    private static final int LONGEST_NAME = 80;

    /** @throws RuntimeException naming the field that is out of range */
    void check() {
        if (name == null || name.isBlank() || name.length() > LONGEST_NAME) {
            throw InputException.field("name", "A player needs a name of 1 to " + LONGEST_NAME + " characters.");
        }
        Rung.of(rung);
        toPlayer();
    }

    Player toPlayer() {
        return new Player(name, FingerSpreads.ADULT.scaledTo(comfortableMm, widestMm), thumb, changeFactor);
    }
}
