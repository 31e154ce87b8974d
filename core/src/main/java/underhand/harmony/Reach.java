package underhand.harmony;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import underhand.chart.Chart;
import underhand.chord.ChordSymbol;

/**
 * How far a decision about a chord of the chart reaches; indices of placements, in order.
 *
 * @param alike wherever the same chord of the same length goes to the same chord
 * @param section the same within its section
 * @param still the chord and its neighbours over which it stands still
 */
public record Reach(List<Integer> alike, List<Integer> section, List<Integer> still) {

    public Reach {
        alike = List.copyOf(alike);
        section = List.copyOf(section);
        still = List.copyOf(still);
    }

    public static Reach of(Chart chart, int placement) {
        List<Chart.Slot> all = chart.placements();
        List<Integer> alike = IntStream.range(0, all.size())
                .filter(i -> i == placement || isAlike(all, i, placement))
                .boxed()
                .toList();
        return new Reach(
                alike,
                alike.stream().filter(i -> sameSection(all, i, placement)).toList(),
                still(all, placement));
    }

    private static boolean isAlike(List<Chart.Slot> all, int one, int other) {
        return chord(all, one).equals(chord(all, other))
                && chord(all, one + 1).equals(chord(all, other + 1))
                && all.get(one).placement().beats()
                        == all.get(other).placement().beats();
    }

    /** The placements around one over which its chord stands still. */
    public static List<Integer> still(List<Chart.Slot> all, int placement) {
        int from = placement;
        int to = placement;
        while (from > 0 && isStill(all, from - 1, placement)) {
            from--;
        }
        while (to + 1 < all.size() && isStill(all, to + 1, placement)) {
            to++;
        }
        return IntStream.rangeClosed(from, to).boxed().toList();
    }

    private static boolean isStill(List<Chart.Slot> all, int one, int other) {
        return chord(all, one).equals(chord(all, other)) && sameSection(all, one, other);
    }

    private static boolean sameSection(List<Chart.Slot> all, int one, int other) {
        return all.get(one).section().equals(all.get(other).section());
    }

    private static Optional<ChordSymbol> chord(List<Chart.Slot> all, int placement) {
        return placement < all.size() ? all.get(placement).placement().chord() : Optional.empty();
    }
}
