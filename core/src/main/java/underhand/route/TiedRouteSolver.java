package underhand.route;

import java.util.Arrays;
import java.util.Comparator;
import java.util.PriorityQueue;

/**
 * Cheapest way through a lattice on which layers that are tied take the same node: what is repeated is played alike.
 *
 * <p>Branch and bound: the cheapest way without ties bounds every tied one from below; where its tied layers disagree,
 * one group of them is held to each of its nodes in turn, the cheapest bound first. A group's bound for a node is the
 * greatest price of that node in any of its layers. Mostly the free way agrees with its ties and one pass is all. The
 * number of passes is bounded; if it runs out, the best tied way found so far is taken and {@link Tied#proven} says so.
 */
public final class TiedRouteSolver {

    private TiedRouteSolver() {}

    /**
     * A way with its ties kept.
     *
     * @param free the cheapest way without ties, with the price of every node
     * @param total cost with ties
     * @param nodes chosen node of each layer
     * @param proven whether no tied way is cheaper
     */
    public record Tied(Route free, double total, int[] nodes, boolean proven) {}

    /** A part of the search: nodes some layers are held to (-1 where free), and what no way in it undercuts. */
    private record Branch(int[] held, double bound) {}

    /**
     * @param ties for each layer the first layer it is tied to, itself where it is the first or free; tied layers have
     *     the same nodes
     * @param mostPasses how often the lattice may be solved at most, 1 or more
     */
    public static Tied solve(Lattice lattice, int[] ties, int mostPasses) {
        Route free = RouteSolver.solve(lattice);
        int group = disagreement(free.nodes(), ties);
        if (group < 0 || !free.isPossible()) {
            return new Tied(free, free.total(), free.nodes(), true);
        }
        PriorityQueue<Branch> open = new PriorityQueue<>(Comparator.comparingDouble(Branch::bound));
        int[] none = new int[ties.length];
        Arrays.fill(none, -1);
        branch(lattice, ties, none, free, group, open);
        int[] best = agreeing(free.nodes(), ties);
        double bestTotal = cost(lattice, best);
        int passes = 1;
        while (!open.isEmpty() && open.peek().bound() < bestTotal) {
            if (passes++ >= mostPasses) {
                return new Tied(free, bestTotal, best, false);
            }
            Branch branch = open.poll();
            Route route = RouteSolver.solve(new Held(lattice, branch.held()));
            if (route.total() >= bestTotal) {
                continue;
            }
            int split = disagreement(route.nodes(), ties);
            if (split < 0) {
                best = route.nodes();
                bestTotal = route.total();
            } else {
                branch(lattice, ties, branch.held(), route, split, open);
            }
        }
        return new Tied(free, bestTotal, best, true);
    }

    /** First layer of a group whose layers take different nodes; -1 when all agree. */
    private static int disagreement(int[] nodes, int[] ties) {
        for (int layer = 0; layer < nodes.length; layer++) {
            if (nodes[layer] != nodes[ties[layer]]) {
                return ties[layer];
            }
        }
        return -1;
    }

    private static void branch(
            Lattice lattice, int[] ties, int[] held, Route route, int group, PriorityQueue<Branch> open) {
        for (int node = 0; node < lattice.nodes(group); node++) {
            double price = 0;
            int[] holding = held.clone();
            for (int layer = group; layer < ties.length; layer++) {
                if (ties[layer] == group) {
                    price = Math.max(price, route.prices()[layer][node]);
                    holding[layer] = node;
                }
            }
            open.add(new Branch(holding, route.total() + price));
        }
    }

    /** A first tied way: every layer follows the first of its group. */
    private static int[] agreeing(int[] nodes, int[] ties) {
        return Arrays.stream(ties).map(layer -> nodes[layer]).toArray();
    }

    private static double cost(Lattice lattice, int[] nodes) {
        double cost = 0;
        for (int layer = 0; layer < nodes.length; layer++) {
            cost += lattice.nodeCost(layer, nodes[layer]);
            cost += layer == 0 ? 0 : lattice.edgeCost(layer - 1, nodes[layer - 1], nodes[layer]);
        }
        return cost;
    }

    /** A lattice some of whose layers are held to one node. */
    private record Held(Lattice lattice, int[] held) implements Lattice {

        @Override
        public int layers() {
            return lattice.layers();
        }

        @Override
        public int nodes(int layer) {
            return lattice.nodes(layer);
        }

        @Override
        public double nodeCost(int layer, int node) {
            return held[layer] < 0 || held[layer] == node ? lattice.nodeCost(layer, node) : Double.POSITIVE_INFINITY;
        }

        @Override
        public double edgeCost(int layer, int from, int to) {
            return lattice.edgeCost(layer, from, to);
        }
    }
}
