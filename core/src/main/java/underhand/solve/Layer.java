package underhand.solve;

import java.util.List;
import underhand.chart.Chart;
import underhand.harmony.Bond;
import underhand.repertoire.Candidates;
import underhand.repertoire.RatedGrip;
import underhand.repertoire.WantedChord;

/**
 * A stretch of time in the route: a placement, or a part of one whose readings change chord within it. Its nodes are the
 * grips of its blocks, one block after another. Where grips of a block were left out, one more node stands for all of
 * them, at what the cheapest of them costs at least.
 */
final class Layer {

    /** Taking another grip than a locked one costs more than any route of {@link Chart#MOST_PLACEMENTS} placements. */
    static final double LOCK = 1e7;

    /**
     * The grips of one reading's chord in this stretch of time.
     *
     * @param wanted what was searched for
     * @param bond to the chord after it
     * @param held whether the chord began in an earlier layer of the placement: then its grip is held on
     * @param locked how many grips, from the first, keep the player's lock; 0 when there is none
     * @param leftOutFrom no grip left out costs less; infinite when none was
     */
    record Block(
            Segment segment,
            WantedChord wanted,
            Bond bond,
            boolean held,
            Candidates candidates,
            int locked,
            double leftOutFrom) {

        List<RatedGrip> grips() {
            return candidates.grips();
        }

        int nodes() {
            return candidates.size() + (Double.isFinite(leftOutFrom) ? 1 : 0);
        }

        /** Whether a node, numbered within the block, stands for the grips left out. */
        boolean isLeftOut(int node) {
            return node == candidates.size();
        }

        /** The same grips, as if no others were. */
        Block closed() {
            return new Block(segment, wanted, bond, held, candidates, locked, Double.POSITIVE_INFINITY);
        }

        double lockPrice(int grip) {
            return locked > 0 && grip >= locked ? LOCK : 0;
        }
    }

    private final Chart.Slot slot;
    private final List<Block> blocks;
    private final int[] firstNode;

    /** Number of its block by node; the lattice asks for it at every edge. */
    private final int[] blockOf;

    Layer(Chart.Slot slot, List<Block> blocks) {
        this.slot = slot;
        this.blocks = List.copyOf(blocks);
        this.firstNode = new int[blocks.size()];
        this.blockOf = new int[blocks.stream().mapToInt(Block::nodes).sum()];
        int node = 0;
        for (int block = 0; block < firstNode.length; block++) {
            firstNode[block] = node;
            for (int end = node + blocks.get(block).nodes(); node < end; node++) {
                blockOf[node] = block;
            }
        }
    }

    Chart.Slot slot() {
        return slot;
    }

    List<Block> blocks() {
        return blocks;
    }

    int nodes() {
        return blockOf.length;
    }

    /** Number of the block a node is in. */
    int blockOf(int node) {
        return blockOf[node];
    }

    Block block(int node) {
        return blocks.get(blockOf[node]);
    }

    /** First node of a block. */
    int firstNode(int block) {
        return firstNode[block];
    }

    /** Number of a node within its block. */
    int inBlock(int node) {
        return node - firstNode[blockOf[node]];
    }

    boolean isLeftOut(int node) {
        return block(node).isLeftOut(inBlock(node));
    }

    /** The same layer, as if there were no other grips. */
    Layer closed() {
        return new Layer(slot, blocks.stream().map(Block::closed).toList());
    }

    /** The grip of a node that is one. */
    RatedGrip grip(int node) {
        return block(node).grips().get(inBlock(node));
    }
}
