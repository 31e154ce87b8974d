package underhand.arrange;

import java.util.List;

/**
 * Something a player should know about a part.
 *
 * @param kind what it is about
 * @param text a sentence or two, plain words
 * @param placements indices it is about; empty for the whole song
 */
public record Warning(Kind kind, String text, List<Integer> placements) {

    public enum Kind {
        /** The chord has no grip within the player's rung. */
        BEYOND_RUNG,
        /** The chord cannot be played at all in this tuning. */
        UNPLAYABLE,
        /** A lock that could not be kept. */
        LOCK,
        /** Something that was wished of the voices could not be had. */
        WISH,
        /** A chosen reading no rule proposes any more, or no hand can play as it is called. */
        READING,
        /** Changes that come late at this tempo. */
        LATE,
        /** The hand may be hurt: wide grips, long barre passages. */
        CAUTION,
        /** A note of the tune that cannot be played as it is written. */
        TUNE,
        /** A search that was cut short. */
        CUT
    }

    public Warning {
        placements = List.copyOf(placements);
    }
}
