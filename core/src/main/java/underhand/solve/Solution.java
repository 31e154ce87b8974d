package underhand.solve;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import underhand.harmony.ReadingId;

/**
 * A route through a song.
 *
 * @param nodes chosen node of each layer, a grip
 * @param atLeast no route over all grips costs less
 * @param cut what was not compared, in words
 * @param usual what it was held to; its price is no part of the total
 */
record Solution(
        List<Layer> layers, double total, int[] nodes, double atLeast, List<String> cut, Optional<UsualGrips> usual) {

    /** The same held to usual grips, whose price is in its total so far. */
    Solution keeping(UsualGrips grips) {
        double paid = grips.paid(layers, nodes);
        return new Solution(layers, total - paid, nodes, atLeast - paid, cut, Optional.of(grips));
    }

    double paid() {
        return usual.map(u -> u.paid(layers, nodes)).orElse(0.0);
    }

    long placementsPlayed() {
        return layers.stream().mapToInt(l -> l.slot().index()).distinct().count();
    }

    boolean plays(int placement) {
        return layers.stream().anyMatch(l -> l.slot().index() == placement);
    }

    /** The readings whose grips are not bound to each other as they should be, by placement. */
    Map<Integer, ReadingId> broken() {
        Map<Integer, ReadingId> broken = new LinkedHashMap<>();
        for (int layer : Bonds.broken(layers, nodes)) {
            Layer at = layers.get(layer);
            broken.put(at.slot().index(), at.block(nodes[layer]).segment().reading());
        }
        return broken;
    }
}
