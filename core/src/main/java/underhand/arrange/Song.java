package underhand.arrange;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import underhand.chart.Chart;
import underhand.chord.ChordSymbol;
import underhand.harmony.KeyFinder;
import underhand.harmony.Reading;
import underhand.pitch.Key;

/** What the solver needs of a chart: its placements in order, its key, its tempo. */
final class Song {

    private final List<Chart.Placed> placements;
    private final Key key;
    private final int tempo;
    private final Map<ChordSymbol, Integer> occurrences = new HashMap<>();

    Song(Chart chart, ArrangementSettings settings) {
        placements = chart.placements();
        tempo = settings.tempo().orElse(chart.tempo().orElse(Chart.DEFAULT_TEMPO));
        key = KeyFinder.keyOf(chart);
        placements.forEach(p -> p.placement().chord().ifPresent(c -> occurrences.merge(c, 1, Integer::sum)));
    }

    List<Chart.Placed> placements() {
        return placements;
    }

    Key key() {
        return key;
    }

    int tempo() {
        return tempo;
    }

    /** How often the song has a chord. */
    int occurrences(ChordSymbol chord) {
        return occurrences.getOrDefault(chord, 1);
    }

    /** The ways a placement may be played: none where nothing is. */
    List<Reading> readings(Chart.Placed placed) {
        return placed.placement().chord().stream()
                .map(chord -> Reading.original(chord, placed.placement().beats()))
                .toList();
    }

    /**
     * Seconds between the last stroke of a chord and the first of the next, with one stroke a beat: a beat, or less when
     * the chord lasts less.
     */
    double secondsToLeave(double beats) {
        return Math.min(1, beats) * 60 / tempo;
    }
}
