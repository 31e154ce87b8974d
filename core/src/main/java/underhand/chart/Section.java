package underhand.chart;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import underhand.pitch.Key;

/**
 * A part of a song, such as a verse.
 *
 * @param name blank where the chart gave none
 * @param key as the chart states it for this part; empty where it states none
 */
public record Section(String name, Optional<Key> key, List<Bar> bars) {

    public Section {
        Objects.requireNonNull(name, "name");
        Objects.requireNonNull(key, "key");
        bars = List.copyOf(bars);
    }
}
