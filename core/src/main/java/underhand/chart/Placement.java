package underhand.chart;

import java.util.Objects;
import java.util.Optional;
import underhand.chord.ChordSymbol;

/**
 * A chord on a beat for so many beats.
 *
 * @param chord empty where nothing is to be played (N.C.)
 * @param beat where it starts in its bar, from 1; a fraction when chords share a bar unevenly with its beats
 * @param beats how long it lasts
 * @param lyric words sung from here to the next placement; may be blank
 */
public record Placement(Optional<ChordSymbol> chord, double beat, double beats, String lyric) {

    public Placement {
        Objects.requireNonNull(chord, "chord");
        Objects.requireNonNull(lyric, "lyric");
        if (!(beat >= 1) || !(beats > 0)) {
            throw new IllegalArgumentException(
                    "a placement starts at beat 1 or later and lasts more than 0 beats, was " + beat + " for " + beats);
        }
    }

    public Placement with(Optional<ChordSymbol> other) {
        return new Placement(other, beat, beats, lyric);
    }

    public Placement withoutLyric() {
        return new Placement(chord, beat, beats, "");
    }
}
