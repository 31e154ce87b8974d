package underhand.arrange;

import java.util.HashMap;
import java.util.Map;
import underhand.neck.Fretboard;

/** The grips found for one capo position, kept by what is wanted and how often the song has it. For one thread. */
final class Pools {

    private final GripFinder strummed;
    private final GripFinder picked;
    private final Map<Key, GripPool> pools = new HashMap<>();

    private record Key(LayerBuilder.Wanted wanted, int occurrences) {}

    Pools(GripFinder finder) {
        this.strummed = finder;
        this.picked = finder.picked();
    }

    Fretboard board() {
        return strummed.board();
    }

    GripFinder finder(boolean picked) {
        return picked ? this.picked : strummed;
    }

    GripPool of(LayerBuilder.Wanted wanted, int occurrences) {
        return pools.computeIfAbsent(
                new Key(wanted, occurrences),
                key -> finder(wanted.picked()).pool(wanted.chord(), wanted.form(), occurrences, shape -> true));
    }
}
