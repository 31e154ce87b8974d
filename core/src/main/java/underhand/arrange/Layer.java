package underhand.arrange;

import java.util.List;
import underhand.chart.Chart;

/**
 * A stretch of time in the route: a placement, or a part of one whose readings change chord within it. Its nodes are the
 * grips of its blocks, one block after another.
 */
record Layer(Chart.Placed placed, List<Block> blocks) {

    /** Taking another grip than a locked one costs more than any route of {@link Chart#MOST_PLACEMENTS} placements. */
    private static final double LOCK = 1e7;

    /**
     * The grips of one reading's chord in this stretch of time.
     *
     * @param wanted what was searched for
     * @param held whether the chord began in an earlier layer of the placement: then its grip is held on
     * @param locked how many grips, from the first, keep the player's lock; 0 when there is none
     * @param leftOutFrom no grip left out costs less
     */
    record Block(
            Segment segment,
            LayerBuilder.Wanted wanted,
            boolean held,
            List<RatedGrip> grips,
            int locked,
            double leftOutFrom) {

        double cost(int grip) {
            return held ? 0 : grips.get(grip).effort().total() + lockPrice(grip);
        }

        double lockPrice(int grip) {
            return locked > 0 && grip >= locked ? LOCK : 0;
        }
    }

    int nodes() {
        int nodes = 0;
        for (Block block : blocks) {
            nodes += block.grips().size();
        }
        return nodes;
    }

    /** Number of the block a node is in. */
    int blockOf(int node) {
        int block = 0;
        int rest = node;
        while (rest >= blocks.get(block).grips().size()) {
            rest -= blocks.get(block).grips().size();
            block++;
        }
        return block;
    }

    Block block(int node) {
        return blocks.get(blockOf(node));
    }

    /** First node of a block. */
    int firstNode(int block) {
        int first = 0;
        for (int before = 0; before < block; before++) {
            first += blocks.get(before).grips().size();
        }
        return first;
    }

    RatedGrip grip(int node) {
        int block = blockOf(node);
        return blocks.get(block).grips().get(node - firstNode(block));
    }
}
