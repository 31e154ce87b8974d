package underhand.part;

import java.util.Optional;
import underhand.chart.Metre;

/**
 * A bar of a part.
 *
 * @param number from 1
 * @param section name of its section; empty where it is not the section's first bar
 * @param from beats from the start of the song
 * @param beats it lasts; fewer than its metre's for a pick-up
 * @param swing whether the first of two eighths is twice as long as the second
 * @param pattern name of the pattern played in it
 */
public record PartBar(
        int number, Optional<String> section, Metre metre, double from, double beats, boolean swing, String pattern) {

    /** Quarter notes a beat lasts. */
    public double quartersABeat() {
        return 4.0 / metre.unit();
    }

    /** Where a moment of the bar sounds, in beats after its start: off-beats of a swung bar come late. */
    public double swung(double beat) {
        if (!swing) {
            return beat;
        }
        double whole = Math.floor(beat);
        double part = beat - whole;
        return whole + (part < 0.5 ? part * 4 / 3 : 2 / 3.0 + (part - 0.5) * 2 / 3);
    }

    /** When a place in the bar sounds, in beats from the start of the song. */
    public double soundsAt(int ticks) {
        return from + swung(ticks / (NoteValue.PER_QUARTER * quartersABeat()));
    }
}
