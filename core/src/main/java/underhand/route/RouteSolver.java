package underhand.route;

import java.util.Arrays;

/**
 * Exact cheapest way through a {@link Lattice} by dynamic programming (A. J. Viterbi, IEEE Trans. Information Theory
 * 13, 1967; for string fingering S. I. Sayegh, Computer Music Journal 13:3, 1989; both from memory).
 *
 * <p>One pass forward gives the best cost up to each node, one backward the best cost from each node on; their sum is
 * the best total with that node forced. Time O(L W^2), memory O(L W) for L layers of at most W nodes. Of equal ways the
 * one with the lower node in the last layer wins, then in the layer before it. A lattice without layers has total 0.
 *
 * <p>A node's neighbours are tried cheapest first; as no edge costs less than nothing, the rest is left out as soon as
 * they alone cost more than what was found. So most edges are never asked for, and a lattice may price them when asked.
 */
public final class RouteSolver {

    private RouteSolver() {}

    public static Route solve(Lattice lattice) {
        return Way.cheapest(lattice).withPrices();
    }

    /** The cheapest way alone: no node has a price. */
    public static Route sketch(Lattice lattice) {
        Way way = Way.cheapest(lattice);
        return new Route(way.total(), way.nodes(), new double[0][]);
    }

    /**
     * The cheapest way, before the prices of the other nodes are worked out.
     *
     * @param before {@code [layer][node]}: best cost up to a node, with the node's own
     */
    record Way(Lattice lattice, double total, int[] nodes, double[][] before) {

        static Way cheapest(Lattice lattice) {
            int layers = lattice.layers();
            double[][] before = new double[layers][];
            int[] nodes = new int[layers];
            if (layers == 0) {
                return new Way(lattice, 0, nodes, before);
            }
            int[][] cameFrom = new int[layers][];
            forward(lattice, before, cameFrom);
            nodes[layers - 1] = RouteSolver.cheapest(before[layers - 1]);
            for (int layer = layers - 1; layer > 0; layer--) {
                nodes[layer - 1] = cameFrom[layer][nodes[layer]];
            }
            return new Way(lattice, before[layers - 1][nodes[layers - 1]], nodes, before);
        }

        boolean isPossible() {
            return !Double.isInfinite(total);
        }

        Route withPrices() {
            double[][] after = nodes.length == 0 ? before : backward(lattice);
            return new Route(total, nodes, prices(before, after, total, nodes));
        }
    }

    private static void forward(Lattice lattice, double[][] before, int[][] cameFrom) {
        before[0] = new double[lattice.nodes(0)];
        for (int node = 0; node < before[0].length; node++) {
            before[0][node] = lattice.nodeCost(0, node);
        }
        for (int layer = 1; layer < before.length; layer++) {
            double[] reached = before[layer - 1];
            Lattice.Edges edges = lattice.edges(layer - 1);
            Ranking ranking = new Ranking(reached);
            before[layer] = new double[lattice.nodes(layer)];
            cameFrom[layer] = new int[before[layer].length];
            for (int node = 0; node < before[layer].length; node++) {
                double best = Double.POSITIVE_INFINITY;
                int via = 0;
                for (int rank = 0; rank < reached.length && ranking.atLeast(rank) <= best; rank++) {
                    int from = ranking.node(rank);
                    double cost = reached[from] + edges.cost(from, node, best - reached[from]);
                    if (cost < best || cost == best && from < via) {
                        best = cost;
                        via = from;
                    }
                }
                before[layer][node] = best + lattice.nodeCost(layer, node);
                cameFrom[layer][node] = via;
            }
        }
    }

    /** Best cost after each node: without the node's own cost. */
    private static double[][] backward(Lattice lattice) {
        double[][] after = new double[lattice.layers()][];
        int last = lattice.layers() - 1;
        after[last] = new double[lattice.nodes(last)];
        for (int layer = last - 1; layer >= 0; layer--) {
            double[] onwards = after[layer + 1].clone();
            Lattice.Edges edges = lattice.edges(layer);
            for (int to = 0; to < onwards.length; to++) {
                onwards[to] += lattice.nodeCost(layer + 1, to);
            }
            Ranking ranking = new Ranking(onwards);
            after[layer] = new double[lattice.nodes(layer)];
            for (int node = 0; node < after[layer].length; node++) {
                double best = Double.POSITIVE_INFINITY;
                for (int rank = 0; rank < onwards.length && ranking.atLeast(rank) <= best; rank++) {
                    int to = ranking.node(rank);
                    best = Math.min(best, edges.cost(node, to, best - onwards[to]) + onwards[to]);
                }
                after[layer][node] = best;
            }
        }
        return after;
    }

    /**
     * The nodes of a layer, cheapest first. Each node's number stands in the low bits of its cost above the least: the bits
     * of doubles from 0 on rise with them, and a double without its low bits is a little smaller than it was.
     */
    private static final class Ranking {

        /** Room for a million nodes; 32 bits of a cost's 52 stay. */
        private static final long NODE_BITS = (1L << 20) - 1;

        private final double least;
        private final long[] ranked;

        Ranking(double[] costs) {
            double lowest = Math.min(0, costs[cheapest(costs)]);
            least = lowest;
            ranked = new long[costs.length];
            for (int node = 0; node < ranked.length; node++) {
                ranked[node] = Double.doubleToRawLongBits(costs[node] - lowest + 0.0) & ~NODE_BITS | node;
            }
            Arrays.sort(ranked);
        }

        int node(int rank) {
            return (int) (ranked[rank] & NODE_BITS);
        }

        /** No more than the node's cost. */
        double atLeast(int rank) {
            return least + Double.longBitsToDouble(ranked[rank] & ~NODE_BITS);
        }
    }

    private static int cheapest(double[] costs) {
        int best = 0;
        for (int i = 1; i < costs.length; i++) {
            if (costs[i] < costs[best]) {
                best = i;
            }
        }
        return best;
    }

    private static double[][] prices(double[][] before, double[][] after, double total, int[] nodes) {
        double[][] prices = new double[before.length][];
        for (int layer = 0; layer < prices.length; layer++) {
            prices[layer] = new double[before[layer].length];
            for (int node = 0; node < prices[layer].length; node++) {
                double forced = before[layer][node] + after[layer][node];
                prices[layer][node] = node == nodes[layer] ? 0 : Math.max(0, forced - total);
            }
        }
        return prices;
    }
}
