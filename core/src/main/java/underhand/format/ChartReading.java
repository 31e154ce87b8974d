package underhand.format;

import java.util.List;
import underhand.chart.Chart;

/** A chart as far as it could be read, and what could not. */
public record ChartReading(Chart chart, List<Fault> faults) {

    public ChartReading {
        faults = List.copyOf(faults);
    }
}
