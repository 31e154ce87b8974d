package underhand.route;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * Cheapest way through a lattice on which layers that are tied take the same node: what is repeated is played alike.
 *
 * <p>Every passage between two groups of tied layers is looked at once, however often it comes ({@link MergedLattice}). Mostly
 * the cheapest way there agrees with the ties and is the answer. Where it does not, tied layers become one variable, and {@link Elimination} finds the cheapest values: first among the nodes which the free way takes somewhere,
 * which bounds the cheapest tied way from above, then among all nodes whose price does not exceed that bound. A song that
 * repeats its sections hangs together like a few rings, so this is exact but for songs nobody writes: when too many
 * combinations had to be looked at, only the cheapest nodes are, and {@link Tied#atLeast} says how much cheaper another way
 * could be.
 */
public final class TiedRouteSolver {

    /** Sums of the same costs in another order differ by less than this part of them. */
    private static final double ROUNDING = 1e-9;

    private TiedRouteSolver() {}

    /**
     * A way with its ties kept.
     *
     * @param total cost with ties; infinite when there is no way
     * @param nodes chosen node of each layer
     * @param atLeast no tied way costs less; the total itself when none is cheaper
     */
    public record Tied(double total, int[] nodes, double atLeast) {

        /** Whether no tied way is cheaper. */
        public boolean proven() {
            return atLeast >= total;
        }
    }

    /**
     * The cheapest tied way; where the first one found takes a {@linkplain Lattice#isPlaceholder placeholder}, that one,
     * not proven, for it is no answer yet.
     *
     * @param ties for each layer the first layer it is tied to, itself where it is the first or free; tied layers have
     *     the same nodes
     * @param mostEntries how many combinations of tied layers' nodes may be looked at in all
     */
    public static Tied solve(Lattice lattice, int[] ties, long mostEntries) {
        if (IntStream.range(0, ties.length).allMatch(layer -> ties[layer] == layer)) {
            return solveAll(lattice, ties, mostEntries);
        }
        MergedLattice skeleton = new MergedLattice(lattice, ties);
        Tied tied = solveAll(skeleton, skeleton.ties(), mostEntries);
        int[] nodes = skeleton.spread(tied.nodes());
        double total = cost(lattice, nodes);
        return new Tied(total, nodes, tied.proven() ? total : Math.min(total, tied.atLeast()));
    }

    private static Tied solveAll(Lattice lattice, int[] ties, long mostEntries) {
        RouteSolver.Way way = RouteSolver.Way.cheapest(lattice);
        if (!way.isPossible()
                || IntStream.range(0, ties.length).allMatch(l -> way.nodes()[l] == way.nodes()[ties[l]])) {
            return new Tied(way.total(), way.nodes(), way.total());
        }
        int[] firsts = IntStream.range(0, ties.length)
                .filter(layer -> ties[layer] == layer)
                .toArray();
        Tied among = amongChoices(lattice, ties, firsts, taken(way.nodes(), ties, firsts), mostEntries);
        if (IntStream.range(0, ties.length).anyMatch(l -> lattice.isPlaceholder(l, among.nodes()[l]))) {
            return new Tied(among.total(), among.nodes(), way.total());
        }
        Route free = way.withPrices();
        double dearest = among.total() - free.total() + ROUNDING * Math.abs(among.total());
        int[][] choices = Arrays.stream(firsts)
                .mapToObj(first -> choices(free, ties, first, dearest))
                .toArray(int[][]::new);
        if (Arrays.stream(choices).anyMatch(nodes -> nodes.length == 0)) {
            return new Tied(among.total(), among.nodes(), among.total());
        }
        Tied tied = amongChoices(lattice, ties, firsts, choices, mostEntries);
        Tied better = tied.total() <= among.total() ? tied : among;
        double atLeast = tied.proven() ? better.total() : Math.min(better.total(), free.total());
        return new Tied(better.total(), better.nodes(), atLeast);
    }

    /** The nodes a way takes in any layer of each group. */
    private static int[][] taken(int[] nodes, int[] ties, int[] firsts) {
        return Arrays.stream(firsts)
                .mapToObj(first -> IntStream.range(0, ties.length)
                        .filter(layer -> ties[layer] == first)
                        .map(layer -> nodes[layer])
                        .distinct()
                        .toArray())
                .toArray(int[][]::new);
    }

    /** The cheapest tied way that takes one of some nodes in every group; proven when all of them could be compared. */
    private static Tied amongChoices(Lattice lattice, int[] ties, int[] firsts, int[][] among, long mostEntries) {
        int[] groups =
                Arrays.stream(ties).map(t -> Arrays.binarySearch(firsts, t)).toArray();
        Set<List<Integer>> pairs = new LinkedHashSet<>();
        for (int layer = 1; layer < groups.length; layer++) {
            if (groups[layer - 1] != groups[layer]) {
                pairs.add(List.of(
                        Math.min(groups[layer - 1], groups[layer]), Math.max(groups[layer - 1], groups[layer])));
            }
        }
        List<int[]> joined =
                pairs.stream().map(p -> new int[] {p.get(0), p.get(1)}).toList();
        int[][] choices = Arrays.stream(among).map(TiedRouteSolver::rising).toArray(int[][]::new);
        boolean all = true;
        int most = Arrays.stream(among).mapToInt(c -> c.length).max().orElse(1);
        Optional<Elimination.Order> order = Elimination.order(sizes(choices), joined, mostEntries);
        while (order.isEmpty()) {
            most = Math.max(1, most / 2);
            int each = most;
            all = false;
            choices = Arrays.stream(among)
                    .map(c -> rising(Arrays.copyOf(c, Math.min(c.length, each))))
                    .toArray(int[][]::new);
            order = Elimination.order(sizes(choices), joined, each > 1 ? mostEntries : Long.MAX_VALUE);
        }
        int[] values = eliminate(lattice, groups, choices, order.orElseThrow());
        int[] nodes = new int[ties.length];
        for (int layer = 0; layer < nodes.length; layer++) {
            nodes[layer] = choices[groups[layer]][values[groups[layer]]];
        }
        double total = cost(lattice, nodes);
        return new Tied(total, nodes, all ? total : Double.NEGATIVE_INFINITY);
    }

    /** In one order for groups with the same nodes, however their prices differ: then they go alike. */
    private static int[] rising(int[] nodes) {
        int[] rising = nodes.clone();
        Arrays.sort(rising);
        return rising;
    }

    private static int[] sizes(int[][] choices) {
        return Arrays.stream(choices).mapToInt(c -> c.length).toArray();
    }

    /** Nodes that all layers tied to one may take, those with the least of their highest prices first. */
    private static int[] choices(Route free, int[] ties, int first, double dearest) {
        double[] highest = free.prices()[first].clone();
        for (int layer = first + 1; layer < ties.length; layer++) {
            for (int node = 0; ties[layer] == first && node < highest.length; node++) {
                highest[node] = Math.max(highest[node], free.prices()[layer][node]);
            }
        }
        return IntStream.range(0, highest.length)
                .filter(node -> highest[node] <= dearest && Double.isFinite(highest[node]))
                .boxed()
                .sorted((a, b) -> Double.compare(highest[a], highest[b]))
                .mapToInt(Integer::intValue)
                .toArray();
    }

    private static int[] eliminate(Lattice lattice, int[] groups, int[][] choices, Elimination.Order order) {
        Elimination elimination = new Elimination(sizes(choices));
        double[][] alone = Arrays.stream(choices).map(c -> new double[c.length]).toArray(double[][]::new);
        Map<List<Integer>, double[]> together = new LinkedHashMap<>();
        for (int layer = 0; layer < groups.length; layer++) {
            int group = groups[layer];
            for (int i = 0; i < choices[group].length; i++) {
                alone[group][i] += lattice.nodeCost(layer, choices[group][i]);
            }
            if (layer > 0) {
                addEdges(lattice, layer - 1, groups[layer - 1], group, choices, alone, together);
            }
        }
        for (int group = 0; group < choices.length; group++) {
            elimination.add(group, alone[group]);
        }
        together.forEach((pair, costs) -> elimination.add(pair.get(0), pair.get(1), costs));
        return elimination.solve(order);
    }

    private static void addEdges(
            Lattice lattice,
            int layer,
            int from,
            int to,
            int[][] choices,
            double[][] alone,
            Map<List<Integer>, double[]> together) {
        Lattice.Edges edges = lattice.edges(layer);
        if (from == to) {
            for (int i = 0; i < choices[from].length; i++) {
                alone[from][i] += edges.cost(choices[from][i], choices[from][i], Double.POSITIVE_INFINITY);
            }
            return;
        }
        int low = Math.min(from, to);
        int high = Math.max(from, to);
        int width = choices[high].length;
        double[] costs = together.computeIfAbsent(List.of(low, high), pair -> new double[choices[low].length * width]);
        for (int i = 0; i < choices[from].length; i++) {
            for (int j = 0; j < choices[to].length; j++) {
                costs[from == low ? i * width + j : j * width + i] +=
                        edges.cost(choices[from][i], choices[to][j], Double.POSITIVE_INFINITY);
            }
        }
    }

    private static double cost(Lattice lattice, int[] nodes) {
        double cost = 0;
        for (int layer = 0; layer < nodes.length; layer++) {
            cost += lattice.nodeCost(layer, nodes[layer]);
            cost += layer == 0 ? 0 : lattice.edgeCost(layer - 1, nodes[layer - 1], nodes[layer]);
        }
        return cost;
    }
}
