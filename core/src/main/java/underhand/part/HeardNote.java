package underhand.part;

import java.util.OptionalInt;

/**
 * A note as it is heard.
 *
 * @param place index of the place in the arrangement
 * @param beat when its stroke begins, in beats from the start of the song, late where its bar swings
 * @param seconds after that, for a string that a strum reaches later
 * @param beats it sounds
 * @param string index from the lowest
 * @param midi MIDI number of its pitch
 * @param from MIDI number it glides from, for one that is slid into
 * @param loudness amplitude, above 0 to 1
 */
public record HeardNote(
        int place,
        double beat,
        double seconds,
        double beats,
        int string,
        int midi,
        OptionalInt from,
        double loudness,
        Manner manner) {

    /** How a string is made to sound. */
    public enum Manner {
        PLUCKED,
        /** A finger of the left hand hammers it on or pulls it off. */
        LEFT_HAND,
        SLID,
        /** The edge of the right hand lies on it. */
        PALM_MUTED,
        /** It is stopped as soon as it sounds. */
        CUT,
        /** It is damped and gives a tick. */
        DEAD
    }

    private static final int LOUDEST = 127;

    /** The velocity, 1 to 127, that sounds so loud: loudness grows with its square (common practice among makers of instruments). */
    public int velocity() {
        return (int) Math.max(1, Math.round(LOUDEST * Math.sqrt(loudness)));
    }
}
