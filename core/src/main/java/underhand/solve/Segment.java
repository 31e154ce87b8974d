package underhand.solve;

import java.util.Optional;
import underhand.chord.ChordSymbol;
import underhand.harmony.ReadingId;

/**
 * One chord of a placement's reading.
 *
 * @param reading it is of; {@link ReadingId#ORIGINAL} for the chart's own chord
 * @param chord empty where nothing is to be played
 * @param part number among the chords of the reading, from 0
 * @param beat where it starts in its bar, from 1
 * @param beats how long it lasts
 */
public record Segment(ReadingId reading, int part, Optional<ChordSymbol> chord, double beat, double beats) {

    /** The chord of a segment that has one. */
    public ChordSymbol sounding() {
        return chord.orElseThrow();
    }
}
