package underhand.chart;

import java.util.Objects;
import underhand.pitch.Pitch;

/**
 * A note of the tune over a placement.
 *
 * @param pitch as it sounds
 * @param from beats after the placement's start, 0 or more
 * @param beats how long it lasts there
 * @param tied whether it is the end of the note before it, cut by a change of chord or a bar line, and not struck anew
 */
public record TuneNote(Pitch pitch, double from, double beats, boolean tied) {

    /** A note that is struck. */
    public TuneNote(Pitch pitch, double from, double beats) {
        this(pitch, from, beats, false);
    }

    public TuneNote {
        Objects.requireNonNull(pitch, "pitch");
        if (!(from >= 0) || !(beats > 0)) {
            throw new IllegalArgumentException(
                    "a note starts 0 or more beats in and lasts more than 0, was " + from + " for " + beats);
        }
    }

    /** The same so many semitones higher. */
    TuneNote transpose(int semitones) {
        return new TuneNote(pitch.plus(semitones), from, beats, tied);
    }
}
