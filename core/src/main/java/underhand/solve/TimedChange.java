package underhand.solve;

import java.util.Map;
import underhand.chart.Chart;
import underhand.move.Change;
import underhand.move.ChangeTerm;

/**
 * A change between two placements against the time there is for it.
 *
 * @param from index of the placement left
 * @param to index of the placement reached
 * @param more what being late and the voices' movement add to the effort of the change
 */
public record TimedChange(int from, int to, Change change, double availableSeconds, Map<ChangeTerm, Double> more) {

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
