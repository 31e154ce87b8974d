package underhand.chart;

import java.util.List;
import java.util.Objects;

/** A part of a song, such as a verse; the name is blank where the chart gave none. */
public record Section(String name, List<Bar> bars) {

    public Section {
        Objects.requireNonNull(name, "name");
        bars = List.copyOf(bars);
    }
}
