package underhand.settings;

import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.neck.Fretboard;
import underhand.neck.Guitar;
import underhand.neck.Tuning;

/**
 * A hand at its guitar: all that the price of a grip and of a change depends on but the song.
 *
 * @param capo fret of the capo; 0 without one
 * @param voicing how full its grips are to be
 */
public record FrettingHand(
        Rung rung, Player player, Guitar guitar, Tuning tuning, int capo, Voicing voicing, HouseRules houseRules) {

    /** The hand settings ask for, with the capo at a fret. */
    public static FrettingHand of(ArrangementSettings settings, int capo) {
        return new FrettingHand(
                settings.rung(),
                settings.player(),
                settings.guitar(),
                settings.tuning(),
                capo,
                settings.voicing(),
                settings.houseRules());
    }

    /** The board it plays on, its frets counted from the capo. */
    public Fretboard board() {
        return new Fretboard(guitar, tuning, capo);
    }
}
