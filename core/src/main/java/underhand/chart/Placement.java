package underhand.chart;

import java.util.List;
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
 * @param tune notes of the tune that sound here; empty where the chart has none
 */
public record Placement(Optional<ChordSymbol> chord, double beat, double beats, String lyric, List<TuneNote> tune) {

    /** A placement over which no tune is written. */
    public Placement(Optional<ChordSymbol> chord, double beat, double beats, String lyric) {
        this(chord, beat, beats, lyric, List.of());
    }

    public Placement {
        Objects.requireNonNull(chord, "chord");
        Objects.requireNonNull(lyric, "lyric");
        tune = List.copyOf(tune);
        if (!(beat >= 1) || !(beats > 0)) {
            throw new IllegalArgumentException(
                    "a placement starts at beat 1 or later and lasts more than 0 beats, was " + beat + " for " + beats);
        }
    }

    public Placement withoutLyric() {
        return new Placement(chord, beat, beats, "", tune);
    }

    public Placement withLyric(String words) {
        return new Placement(chord, beat, beats, words, tune);
    }

    public Placement withChord(Optional<ChordSymbol> other) {
        return new Placement(other, beat, beats, lyric, tune);
    }

    public Placement withTune(List<TuneNote> notes) {
        return new Placement(chord, beat, beats, lyric, notes);
    }

    /** The same so many semitones higher, with another chord. */
    Placement transpose(int semitones, Optional<ChordSymbol> other) {
        return new Placement(
                other,
                beat,
                beats,
                lyric,
                tune.stream().map(n -> n.transpose(semitones)).toList());
    }
}
