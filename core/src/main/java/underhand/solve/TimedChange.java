package underhand.solve;

import java.util.List;
import java.util.Map;
import underhand.chart.Chart;
import underhand.move.Change;
import underhand.move.ChangeTerm;
import underhand.repertoire.VoiceStep;

/**
 * A change between two placements against the time there is for it.
 *
 * @param from index of the placement left
 * @param to index of the placement reached
 * @param more what being late and the voices' movement add to the effort of the change
 * @param ofWishes what decided for it beside the effort: how the voices move where they are led
 * @param wishedTop how far the highest voice is from the way the player wished of it
 * @param voices which voice goes where
 */
public record TimedChange(
        int from,
        int to,
        Change change,
        double availableSeconds,
        Map<ChangeTerm, Double> more,
        double ofWishes,
        double wishedTop,
        List<VoiceStep> voices) {

    /** Effort of the hand, of being late and of the voices. */
    public double effort() {
        return change.effort()
                + more.values().stream().mapToDouble(Double::doubleValue).sum();
    }

    /** Beats a minute up to which the hand is in time, where this is a part at a tempo. */
    public int fastestTempo(int tempo) {
        double needed = change.neededSeconds();
        double fastest = needed > 0 ? tempo * availableSeconds / needed : Chart.HIGHEST_TEMPO;
        return (int) Math.min(Chart.HIGHEST_TEMPO, Math.floor(fastest));
    }

    /** Seconds to spare; negative when the hand comes late. */
    public double slackSeconds() {
        return availableSeconds - change.neededSeconds();
    }
}
