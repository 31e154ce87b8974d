package underhand.server.arrangements;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.function.Function;
import underhand.chart.Chart;
import underhand.harmony.HarmonyReader;
import underhand.repertoire.KnownGrips;
import underhand.settings.FrettingHand;
import underhand.solve.GripStore;

/** The grips of the hands that were last asked for, within a part of the memory there is, and the harmony of the charts in use. */
public final class KeptGrips implements GripStore {

    /** Part of the memory there is that hands may take: a quarter. */
    private static final int PART = 4;

    private static final int KIB = 1024;

    /** A hand with each of its capo positions is one; weighed in KiB each time it was used. */
    private final Cache<FrettingHand, KnownGrips> hands = Caffeine.newBuilder()
            .maximumWeight(Runtime.getRuntime().maxMemory() / PART / KIB)
            .<FrettingHand, KnownGrips>weigher((hand, known) -> (int) Math.min(Integer.MAX_VALUE, known.bytes() / KIB))
            .build();

    /** By the chart itself: two that are alike are told apart faster than compared. */
    private final Cache<Chart, HarmonyReader> harmonies =
            Caffeine.newBuilder().weakKeys().build();

    @Override
    public KnownGrips of(FrettingHand hand, Function<FrettingHand, KnownGrips> fresh) {
        return hands.get(hand, fresh);
    }

    /** Weighs a hand anew, unless it was dropped meanwhile. */
    @Override
    public void used(FrettingHand hand, KnownGrips known) {
        hands.asMap().replace(hand, known, known);
    }

    @Override
    public HarmonyReader harmony(Chart chart) {
        return harmonies.get(chart, HarmonyReader::of);
    }
}
