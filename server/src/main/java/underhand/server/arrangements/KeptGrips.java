package underhand.server.arrangements;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.function.Function;
import underhand.arrange.GripStore;
import underhand.chart.Chart;
import underhand.harmony.HarmonyReader;
import underhand.repertoire.KnownGrips;
import underhand.settings.FrettingHand;

/** The grips of the hands that were last asked for, and the harmony of the charts in use, while there is memory to spare. */
public final class KeptGrips implements GripStore {

    /** A hand with each of its capo positions is one. */
    private static final int HANDS_KEPT = 500;

    private final Cache<FrettingHand, KnownGrips> hands =
            Caffeine.newBuilder().maximumSize(HANDS_KEPT).softValues().build();

    /** By the chart itself: two that are alike are told apart faster than compared. */
    private final Cache<Chart, HarmonyReader> harmonies =
            Caffeine.newBuilder().weakKeys().build();

    @Override
    public KnownGrips of(FrettingHand hand, Function<FrettingHand, KnownGrips> fresh) {
        return hands.get(hand, fresh);
    }

    @Override
    public HarmonyReader harmony(Chart chart) {
        return harmonies.get(chart, HarmonyReader::of);
    }
}
