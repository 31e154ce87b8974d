package underhand.arrange;

import java.util.Arrays;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import underhand.arrange.Layer.Block;
import underhand.hand.Grip;
import underhand.route.Lattice;

/** The layers of a song with the prices of all changes between their grips. */
final class SongLattice implements Lattice {

    private final Layer[] layers;

    /** Whether the next layer is a later part of the same placement. */
    private final boolean[] continues;

    private final double[][] nodeCosts;

    /** Seconds there are to leave a grip, by layer and node. */
    private final double[][] available;

    /** Numbers the prices know the grips by, by layer and node. */
    private final int[][] numbers;

    /** Prices of the changes to the next layer, by layer, block and block of the next layer. */
    private final GripChanges.Prices[][][] prices;

    /** What a grip costs beside another guitar that plays at the same time. */
    interface Beside {
        Beside NOBODY = (placement, grip) -> 0;

        double price(int placement, Grip grip);
    }

    /**
     * @param timing time there is after the last stroke of a chord
     * @param beside what a grip at a placement costs beside another guitar
     */
    SongLattice(List<Layer> layers, GripChanges changes, StrokeTiming timing, Beside beside) {
        this.layers = layers.toArray(Layer[]::new);
        this.continues = new boolean[this.layers.length];
        this.nodeCosts = layers.stream().map(l -> nodeCosts(l, beside)).toArray(double[][]::new);
        this.available = layers.stream().map(l -> available(l, timing)).toArray(double[][]::new);
        Map<List<RatedGrip>, int[]> known = new IdentityHashMap<>();
        this.numbers = layers.stream().map(l -> numbers(l, changes, known)).toArray(int[][]::new);
        this.prices = new GripChanges.Prices[Math.max(0, this.layers.length - 1)][][];
        for (int layer = 0; layer < prices.length; layer++) {
            Layer next = this.layers[layer + 1];
            continues[layer] =
                    this.layers[layer].placed().index() == next.placed().index();
            prices[layer] = prices(this.layers[layer], next, changes);
        }
    }

    private static double[] nodeCosts(Layer layer, Beside beside) {
        double[] costs = new double[layer.nodes()];
        int node = 0;
        for (Block block : layer.blocks()) {
            for (int grip = 0; grip < block.grips().size(); grip++) {
                Grip held = block.grips().get(grip).grip();
                costs[node++] = block.cost(grip)
                        + (block.held() ? 0 : beside.price(layer.placed().index(), held));
            }
        }
        return costs;
    }

    private static double[] available(Layer layer, StrokeTiming timing) {
        return layer.blocks().stream()
                .flatMapToDouble(b -> Arrays.stream(timing.secondsToLeave(layer.placed(), b.segment(), b.grips())))
                .toArray();
    }

    private static int[] numbers(Layer layer, GripChanges changes, Map<List<RatedGrip>, int[]> known) {
        return layer.blocks().stream()
                .flatMapToInt(b -> Arrays.stream(known.computeIfAbsent(
                        b.grips(), grips -> changes.numbers(b.wanted().chord(), grips))))
                .toArray();
    }

    private static GripChanges.Prices[][] prices(Layer layer, Layer next, GripChanges changes) {
        return layer.blocks().stream()
                .map(from -> next.blocks().stream()
                        .map(to -> changes.between(
                                from.wanted().chord(), to.wanted().chord()))
                        .toArray(GripChanges.Prices[]::new))
                .toArray(GripChanges.Prices[][]::new);
    }

    @Override
    public int layers() {
        return layers.length;
    }

    @Override
    public int nodes(int layer) {
        return layers[layer].nodes();
    }

    @Override
    public double nodeCost(int layer, int node) {
        return nodeCosts[layer][node];
    }

    @Override
    public double edgeCost(int layer, int from, int to) {
        Layer left = layers[layer];
        Layer reached = layers[layer + 1];
        int fromBlock = left.blockOf(from);
        int toBlock = reached.blockOf(to);
        if (continues[layer]) {
            Segment before = left.block(from).segment();
            Segment after = reached.block(to).segment();
            if (!before.rule().equals(after.rule())) {
                return Double.POSITIVE_INFINITY;
            }
            if (reached.block(to).held()) {
                return left.inBlock(from) == reached.inBlock(to) ? 0 : Double.POSITIVE_INFINITY;
            }
        }
        return prices[layer][fromBlock][toBlock].cost(
                numbers[layer][from], numbers[layer + 1][to], available[layer][from]);
    }
}
