package underhand.arrange;

import java.util.HashMap;
import java.util.Map;

/** The grips found for one capo position, kept by chord, form and how often the song has it. For one thread. */
final class Pools {

    private final GripFinder finder;
    private final Map<Key, GripPool> pools = new HashMap<>();

    private record Key(LayerBuilder.Wanted wanted, int occurrences) {}

    Pools(GripFinder finder) {
        this.finder = finder;
    }

    GripFinder finder() {
        return finder;
    }

    GripPool of(LayerBuilder.Wanted wanted, int occurrences) {
        return pools.computeIfAbsent(
                new Key(wanted, occurrences),
                key -> finder.pool(wanted.chord(), wanted.form(), occurrences, shape -> true));
    }
}
