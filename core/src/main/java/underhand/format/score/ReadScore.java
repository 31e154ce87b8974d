package underhand.format.score;

import java.util.List;
import underhand.chart.Chart;

/**
 * A score as a chart, and what of it was left out.
 *
 * @param dropped in words, each once
 */
public record ReadScore(Chart chart, List<String> dropped) {

    public ReadScore {
        dropped = List.copyOf(dropped);
    }
}
