package underhand.format.score;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import underhand.chart.Chart;

/**
 * A score as a chart, and what of it was left out.
 *
 * @param dropped what was left out, and what a tune's file says otherwise than its chart, in words, each once
 * @param tune how a tune was taken from a file of several voices; empty for a score
 */
public record ReadScore(Chart chart, List<String> dropped, Optional<Tune> tune) {

    public ReadScore {
        dropped = List.copyOf(dropped);
    }

    /** A score, which has its own tune. */
    ReadScore(Chart chart, List<String> dropped) {
        this(chart, dropped, Optional.empty());
    }

    /**
     * How a tune was laid over a chart.
     *
     * @param voices what the file has to choose from, in its order
     * @param voice index of the one that was taken
     * @param shift quarters it was moved later; earlier where negative
     * @param proposedShift quarters with which it would lie far better over the chords; empty where it lies well, or the chart
     *     has no chords
     */
    public record Tune(List<Voice> voices, int voice, double shift, OptionalDouble proposedShift) {
        public Tune {
            voices = List.copyOf(voices);
        }
    }

    /**
     * Notes a tune may be.
     *
     * @param name blank where the file has none
     * @param notes how many
     * @param lowest pitch, as it sounds, such as {@code C4}
     */
    public record Voice(String name, int notes, String lowest, String highest) {}
}
