package underhand.solve;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import underhand.chord.ChordSymbol;
import underhand.hand.Grip;
import underhand.harmony.Bond;
import underhand.repertoire.Candidates;
import underhand.repertoire.GripChanges;
import underhand.repertoire.WantedChord;
import underhand.route.Lattice;
import underhand.solve.Layer.Block;
import underhand.texture.Motion;
import underhand.work.Work;

/**
 * The layers of a song with the prices of all changes between their grips. Changes to and from grips that were left out
 * cost nothing: no way over all grips of the song costs less than the cheapest way here.
 */
final class SongLattice implements Lattice {

    private static final int LEFT_OUT = -1;

    private final Layer[] layers;

    /** Whether the next layer is a later part of the same placement. */
    private final boolean[] continues;

    private final double[][] nodeCosts;

    /** Seconds there are to leave a grip, by layer and node. */
    private final double[][] available;

    /** Numbers the prices know the grips by, by layer and node; {@link #LEFT_OUT} for nodes that are no grip. */
    private final int[][] numbers;

    /** Prices of the changes to the next layer, by layer, block and block of the next layer. */
    private final GripChanges.Prices[][][] prices;

    /** How grips are bound to those of the next layer, by layer, block and block of the next layer. */
    private final Bond[][][] bonds;

    /** What a grip costs beside another guitar, or a voice, at the same time. */
    interface GripSurcharge {
        GripSurcharge NOBODY = (placement, chord, grip) -> 0;

        double price(int placement, ChordSymbol chord, Grip grip);

        /** This, and what a grip costs that is not its chord's usual one. */
        default GripSurcharge and(UsualGrips usual) {
            return (placement, chord, grip) -> price(placement, chord, grip) + usual.price(chord, grip.shape());
        }
    }

    /**
     * @param timing time there is after the last stroke of a chord
     * @param beside what a grip at a placement costs beside another guitar or a voice
     */
    SongLattice(List<Layer> layers, GripChanges changes, StrokeTiming timing, GripSurcharge beside) {
        this.layers = layers.toArray(Layer[]::new);
        this.continues = new boolean[this.layers.length];
        this.nodeCosts = new double[this.layers.length][];
        this.available = new double[this.layers.length][];
        this.numbers = new int[this.layers.length][];
        Map<Candidates, int[]> known = new HashMap<>();
        for (int number = 0; number < this.layers.length; number++) {
            Layer layer = this.layers[number];
            nodeCosts[number] = new double[layer.nodes()];
            available[number] = new double[layer.nodes()];
            numbers[number] = new int[layer.nodes()];
            Arrays.fill(numbers[number], LEFT_OUT);
            int first = 0;
            for (Block block : layer.blocks()) {
                int[] numbered = known.computeIfAbsent(
                        block.candidates(), c -> changes.numbers(block.wanted().chord(), c.grips()));
                double[] seconds = timing.secondsToLeave(layer.slot(), block.segment(), block.candidates());
                addCosts(nodeCosts[number], first, layer, block, beside);
                System.arraycopy(numbered, 0, numbers[number], first, numbered.length);
                System.arraycopy(seconds, 0, available[number], first, seconds.length);
                first += block.nodes();
            }
        }
        this.prices = new GripChanges.Prices[Math.max(0, this.layers.length - 1)][][];
        this.bonds = new Bond[prices.length][][];
        for (int layer = 0; layer < prices.length; layer++) {
            Layer next = this.layers[layer + 1];
            continues[layer] = this.layers[layer].slot().index() == next.slot().index();
            prices[layer] = prices(this.layers[layer], next, changes);
            bonds[layer] = bonds(this.layers[layer], next);
        }
    }

    private static void addCosts(double[] costs, int first, Layer layer, Block block, GripSurcharge beside) {
        if (block.held()) {
            return;
        }
        for (int at = 0; at < block.candidates().size(); at++) {
            costs[first + at] = block.candidates().effort(at)
                    + block.lockPrice(at)
                    + beside.price(
                            layer.slot().index(),
                            block.segment().sounding(),
                            block.grips().get(at).grip());
        }
        if (block.nodes() > block.candidates().size()) {
            costs[first + block.candidates().size()] = block.leftOutFrom();
        }
    }

    private static GripChanges.Prices[][] prices(Layer layer, Layer next, GripChanges changes) {
        List<Block> left = layer.blocks();
        List<Block> reached = next.blocks();
        GripChanges.Prices[][] prices = new GripChanges.Prices[left.size()][reached.size()];
        for (int from = 0; from < prices.length; from++) {
            for (int to = 0; to < prices[from].length; to++) {
                WantedChord before = left.get(from).wanted();
                WantedChord after = reached.get(to).wanted();
                Motion motion =
                        Motion.between(before.ask().motion(), after.ask().motion());
                prices[from][to] = changes.between(before.chord(), after.chord(), motion);
            }
        }
        return prices;
    }

    private static Bond[][] bonds(Layer layer, Layer next) {
        return layer.blocks().stream()
                .map(left -> next.blocks().stream()
                        .map(reached -> Bonds.between(left, reached))
                        .toArray(Bond[]::new))
                .toArray(Bond[][]::new);
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
    public boolean isPlaceholder(int layer, int node) {
        return numbers[layer][node] == LEFT_OUT;
    }

    @Override
    public boolean sameEdges(int layer, int other) {
        return continues[layer] == continues[other]
                && Arrays.deepEquals(prices[layer], prices[other])
                && Arrays.deepEquals(bonds[layer], bonds[other])
                && Arrays.equals(numbers[layer], numbers[other])
                && Arrays.equals(numbers[layer + 1], numbers[other + 1])
                && Arrays.equals(available[layer], available[other])
                && (!continues[layer] || samePieces(layer, other) && samePieces(layer + 1, other + 1));
    }

    /** Whether two layers are the same pieces of the same readings. */
    private boolean samePieces(int layer, int other) {
        List<Block> blocks = layers[layer].blocks();
        List<Block> others = layers[other].blocks();
        return IntStream.range(0, blocks.size())
                .allMatch(i -> blocks.get(i).held() == others.get(i).held()
                        && blocks.get(i)
                                .segment()
                                .reading()
                                .equals(others.get(i).segment().reading()));
    }

    @Override
    public double edgeCost(int layer, int from, int to) {
        return edges(layer).cost(from, to, Double.POSITIVE_INFINITY);
    }

    @Override
    public Edges edges(int layer) {
        Work.check();
        Edges changes = new Changes(
                layers[layer], layers[layer + 1], numbers[layer], numbers[layer + 1], prices[layer], available[layer]);
        boolean isBound = Arrays.stream(bonds[layer]).flatMap(Arrays::stream).anyMatch(b -> b != Bond.FREE);
        Edges kept = isBound ? new Bound(changes, layers[layer], layers[layer + 1], bonds[layer]) : changes;
        return continues[layer] ? new Continued(kept, layers[layer], layers[layer + 1]) : kept;
    }

    /** The same where the grips of a reading are bound to each other. */
    private record Bound(Edges changes, Layer left, Layer reached, Bond[][] bonds) implements Edges {

        @Override
        public double cost(int from, int to, double most) {
            Bond bond = bonds[left.blockOf(from)][reached.blockOf(to)];
            boolean isBroken = bond != Bond.FREE
                    && !left.isLeftOut(from)
                    && !reached.isLeftOut(to)
                    && !Bonds.hold(
                            bond,
                            left.block(from).segment().sounding(),
                            left.grip(from).grip(),
                            reached.block(to).segment().sounding(),
                            reached.grip(to).grip());
            return isBroken ? Bonds.BROKEN : changes.cost(from, to, most);
        }
    }

    /** The changes of grip from one layer to the next. */
    private record Changes(
            Layer left, Layer reached, int[] leaving, int[] reaching, GripChanges.Prices[][] prices, double[] available)
            implements Edges {

        @Override
        public double cost(int from, int to, double most) {
            return leaving[from] == LEFT_OUT || reaching[to] == LEFT_OUT
                    ? 0
                    : prices[left.blockOf(from)][reached.blockOf(to)].cost(
                            leaving[from], reaching[to], available[from], most);
        }
    }

    /** The same within a placement: a reading goes on, and a chord that is held keeps its grip. */
    private record Continued(Edges changes, Layer left, Layer reached) implements Edges {

        @Override
        public double cost(int from, int to, double most) {
            Block before = left.block(from);
            Block after = reached.block(to);
            if (!before.segment().reading().equals(after.segment().reading())) {
                return Double.POSITIVE_INFINITY;
            }
            if (after.held()) {
                return left.inBlock(from) == reached.inBlock(to) ? 0 : Double.POSITIVE_INFINITY;
            }
            return changes.cost(from, to, most);
        }
    }
}
