package underhand.arrange;

import java.util.Arrays;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import underhand.arrange.Layer.Block;
import underhand.chart.Chart;
import underhand.hand.Grip;
import underhand.move.ChangeModel;
import underhand.route.Lattice;

/**
 * The layers of a song with the prices of all changes between their grips. A change between two lists of grips is priced
 * when it is first asked for and kept, however often the two chords follow one another.
 */
final class SongLattice implements Lattice {

    /** What a change costs the hand and the ear, and being late for it. */
    static final class Pricing {
        private final ChangeModel changes;
        private final VoiceLeading voices;
        private final double changeWeight;
        private final double lateWeight;

        Pricing(ChangeModel changes, VoiceLeading voices, double changeWeight, double lateWeight) {
            this.changes = changes;
            this.voices = voices;
            this.changeWeight = changeWeight;
            this.lateWeight = lateWeight;
        }

        double late(double neededSeconds, double availableSeconds) {
            return lateWeight * Math.max(0, neededSeconds - availableSeconds);
        }
    }

    private final List<Layer> layers;
    private final Pricing pricing;
    /** Seconds there are to leave a grip, by layer, block and grip. */
    private final double[][][] available;

    private final Prices[][][] prices;
    private final double[][] beside;
    private final Map<Pair, Prices> known = new HashMap<>();
    private final Map<RatedGrip, VoiceLeading.Voices> voicesOf = new IdentityHashMap<>();

    /**
     * @param timing time there is after the last stroke of a chord
     * @param beside what a grip at a placement costs beside another guitar
     */
    SongLattice(List<Layer> layers, Pricing pricing, StrokeTiming timing, Beside beside) {
        this.layers = layers;
        this.pricing = pricing;
        this.available = new double[layers.size()][][];
        this.beside = layers.stream().map(l -> priced(l, beside)).toArray(double[][]::new);
        this.prices = new Prices[Math.max(0, layers.size() - 1)][][];
        for (int layer = 0; layer < layers.size(); layer++) {
            List<Block> blocks = layers.get(layer).blocks();
            Chart.Placed placed = layers.get(layer).placed();
            available[layer] = blocks.stream()
                    .map(b -> timing.secondsToLeave(placed, b.segment(), b.grips()))
                    .toArray(double[][]::new);
            if (layer < prices.length) {
                List<Block> next = layers.get(layer + 1).blocks();
                prices[layer] = blocks.stream()
                        .map(from -> next.stream()
                                .map(to -> known.computeIfAbsent(new Pair(from.grips(), to.grips()), Prices::new))
                                .toArray(Prices[]::new))
                        .toArray(Prices[][]::new);
            }
        }
    }

    @Override
    public int layers() {
        return layers.size();
    }

    @Override
    public int nodes(int layer) {
        return layers.get(layer).nodes();
    }

    @Override
    public double nodeCost(int layer, int node) {
        Layer at = layers.get(layer);
        int block = at.blockOf(node);
        Block in = at.blocks().get(block);
        return in.cost(node - at.firstNode(block)) + (in.held() ? 0 : beside[layer][node]);
    }

    /** What a grip costs beside another guitar that plays at the same time. */
    interface Beside {
        Beside NOBODY = (placement, grip) -> 0;

        double price(int placement, Grip grip);
    }

    private static double[] priced(Layer layer, Beside beside) {
        double[] prices = new double[layer.nodes()];
        if (beside != Beside.NOBODY) {
            int node = 0;
            for (Block block : layer.blocks()) {
                for (RatedGrip grip : block.grips()) {
                    prices[node++] = beside.price(layer.placed().index(), grip.grip());
                }
            }
        }
        return prices;
    }

    @Override
    public double edgeCost(int layer, int from, int to) {
        Layer left = layers.get(layer);
        Layer reached = layers.get(layer + 1);
        int fromBlock = left.blockOf(from);
        int toBlock = reached.blockOf(to);
        int fromGrip = from - left.firstNode(fromBlock);
        int toGrip = to - reached.firstNode(toBlock);
        if (left.placed().index() == reached.placed().index()) {
            Segment before = left.blocks().get(fromBlock).segment();
            Segment after = reached.blocks().get(toBlock).segment();
            if (!before.rule().equals(after.rule())) {
                return Double.POSITIVE_INFINITY;
            }
            if (reached.blocks().get(toBlock).held()) {
                return fromGrip == toGrip ? 0 : Double.POSITIVE_INFINITY;
            }
        }
        Prices between = prices[layer][fromBlock][toBlock];
        return between.effort(fromGrip, toGrip)
                + pricing.late(between.seconds(fromGrip, toGrip), available[layer][fromBlock][fromGrip]);
    }

    private VoiceLeading.Voices voicesOf(RatedGrip grip) {
        return voicesOf.computeIfAbsent(grip, g -> pricing.voices.voices(g.grip()));
    }

    /** Two lists of grips, the same only as the same objects. */
    private record Pair(List<RatedGrip> from, List<RatedGrip> to) {

        @Override
        public boolean equals(Object other) {
            return other instanceof Pair pair && pair.from == from && pair.to == to;
        }

        @Override
        public int hashCode() {
            return 31 * System.identityHashCode(from) + System.identityHashCode(to);
        }
    }

    /** Effort and seconds of the changes between two lists of grips; {@code [from][to]}, NaN where not yet asked for. */
    private final class Prices {
        private final Pair pair;
        private final float[][] effort;
        private final float[][] seconds;

        Prices(Pair pair) {
            this.pair = pair;
            this.effort = new float[pair.from().size()][];
            this.seconds = new float[pair.from().size()][];
        }

        float effort(int from, int to) {
            if (effort[from] == null) {
                effort[from] = new float[pair.to().size()];
                seconds[from] = new float[pair.to().size()];
                Arrays.fill(effort[from], Float.NaN);
            }
            if (Float.isNaN(effort[from][to])) {
                price(from, to);
            }
            return effort[from][to];
        }

        /** Known once {@link #effort} was asked for. */
        float seconds(int from, int to) {
            return seconds[from][to];
        }

        private void price(int from, int to) {
            RatedGrip left = pair.from().get(from);
            RatedGrip reached = pair.to().get(to);
            double[] both = pricing.changes.effortAndSeconds(left.grip(), reached.grip());
            effort[from][to] =
                    (float) (pricing.changeWeight * both[0] + pricing.voices.effort(voicesOf(left), voicesOf(reached)));
            seconds[from][to] = (float) both[1];
        }
    }
}
