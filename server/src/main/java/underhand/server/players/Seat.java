package underhand.server.players;

import underhand.settings.Performer;

/**
 * A player at a guitar.
 *
 * @param leftHanded whether necks and grips are drawn the other way round
 */
public record Seat(Performer performer, boolean leftHanded) {

    /** The usual hand at the usual guitar. */
    public static final Seat USUAL = new Seat(Performer.ADULT, false);
}
