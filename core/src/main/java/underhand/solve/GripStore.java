package underhand.solve;

import java.util.function.Function;
import underhand.chart.Chart;
import underhand.harmony.HarmonyReader;
import underhand.repertoire.KnownGrips;
import underhand.settings.FrettingHand;

/** Keeps what was found for a hand, so that the next dial that is turned need not search again. Safe to share. */
@FunctionalInterface
public interface GripStore {

    /** Keeps nothing: every arrangement searches for itself. */
    GripStore NOTHING = (hand, fresh) -> fresh.apply(hand);

    /** What is kept for a hand, or what {@code fresh} makes for it. */
    KnownGrips of(FrettingHand hand, Function<FrettingHand, KnownGrips> fresh);

    /** Says that a hand was used, and that more may be known of it now. */
    default void used(FrettingHand hand, KnownGrips known) {}

    /** The harmony of a chart, which no dial changes. */
    default HarmonyReader harmony(Chart chart) {
        return HarmonyReader.of(chart);
    }
}
