package underhand.route;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Cheapest way through a lattice on which layers that are tied take the same node: what is repeated is played alike.
 *
 * <p>Every passage between two groups of tied layers is looked at once, however often it comes ({@link Skeleton}). Mostly
 * the cheapest way there agrees with the ties and is the answer. Where it does not, tied layers become one variable, and {@link Elimination} finds the cheapest values: first among the nodes which the free way takes somewhere,
 * which bounds the cheapest tied way from above, then among all nodes whose price does not exceed that bound. A song that
 * repeats its sections hangs together like a few rings, so this is exact but for songs nobody writes: when too many
 * combinations had to be looked at, only the cheapest nodes are, and {@link Tied#proven} says so.
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
     * @param proven whether no tied way is cheaper
     */
    public record Tied(double total, int[] nodes, boolean proven) {}

    /**
     * The cheapest tied way; where the first one found takes a {@linkplain Lattice#isPlaceholder placeholder}, that one,
     * not proven, for it is no answer yet.
     *
     * @param ties for each layer the first layer it is tied to, itself where it is the first or free; tied layers have
     *     the same nodes
     * @param mostEntries how many combinations of tied layers' nodes may be looked at at once
     */
    public static Tied solve(Lattice lattice, int[] ties, int mostEntries) {
        if (IntStream.range(0, ties.length).allMatch(layer -> ties[layer] == layer)) {
            return solveAll(lattice, ties, mostEntries);
        }
        Skeleton skeleton = new Skeleton(lattice, ties);
        Tied tied = solveAll(skeleton, skeleton.ties(), mostEntries);
        int[] nodes = skeleton.spread(tied.nodes());
        return new Tied(cost(lattice, nodes), nodes, tied.proven());
    }

    private static Tied solveAll(Lattice lattice, int[] ties, int mostEntries) {
        RouteSolver.Way way = RouteSolver.Way.cheapest(lattice);
        if (!way.isPossible()
                || IntStream.range(0, ties.length).allMatch(l -> way.nodes()[l] == way.nodes()[ties[l]])) {
            return new Tied(way.total(), way.nodes(), true);
        }
        int[] firsts = IntStream.range(0, ties.length)
                .filter(layer -> ties[layer] == layer)
                .toArray();
        Tied among = amongChoices(lattice, ties, firsts, taken(way.nodes(), ties, firsts), mostEntries);
        if (IntStream.range(0, ties.length).anyMatch(l -> lattice.isPlaceholder(l, among.nodes()[l]))) {
            return new Tied(among.total(), among.nodes(), false);
        }
        Route free = way.withPrices();
        double dearest = among.total() - free.total() + ROUNDING * Math.abs(among.total());
        int[][] choices = Arrays.stream(firsts)
                .mapToObj(first -> choices(free, ties, first, dearest))
                .toArray(int[][]::new);
        if (Arrays.stream(choices).anyMatch(nodes -> nodes.length == 0)) {
            return new Tied(among.total(), among.nodes(), true);
        }
        Tied tied = amongChoices(lattice, ties, firsts, choices, mostEntries);
        return tied.total() <= among.total() ? tied : new Tied(among.total(), among.nodes(), tied.proven());
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
    private static Tied amongChoices(Lattice lattice, int[] ties, int[] firsts, int[][] among, int mostEntries) {
        int[][] choices = among.clone();
        boolean proven = true;
        Optional<int[]> values = eliminate(lattice, ties, firsts, choices, mostEntries);
        while (values.isEmpty()) {
            proven = false;
            halveWidest(choices);
            values = eliminate(lattice, ties, firsts, choices, mostEntries);
        }
        int[] nodes = new int[ties.length];
        for (int layer = 0; layer < nodes.length; layer++) {
            int group = Arrays.binarySearch(firsts, ties[layer]);
            nodes[layer] = choices[group][values.get()[group]];
        }
        return new Tied(cost(lattice, nodes), nodes, proven);
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

    private static void halveWidest(int[][] choices) {
        int widest = 0;
        for (int group = 1; group < choices.length; group++) {
            widest = choices[group].length > choices[widest].length ? group : widest;
        }
        choices[widest] = Arrays.copyOf(choices[widest], Math.max(1, choices[widest].length / 2));
    }

    private static Optional<int[]> eliminate(
            Lattice lattice, int[] ties, int[] firsts, int[][] choices, int mostEntries) {
        Elimination elimination =
                new Elimination(Arrays.stream(choices).mapToInt(c -> c.length).toArray());
        double[][] alone = Arrays.stream(choices).map(c -> new double[c.length]).toArray(double[][]::new);
        Map<List<Integer>, double[]> together = new LinkedHashMap<>();
        for (int layer = 0; layer < ties.length; layer++) {
            int group = Arrays.binarySearch(firsts, ties[layer]);
            for (int i = 0; i < choices[group].length; i++) {
                alone[group][i] += lattice.nodeCost(layer, choices[group][i]);
            }
            if (layer > 0) {
                int before = Arrays.binarySearch(firsts, ties[layer - 1]);
                addEdges(lattice, layer - 1, before, group, choices, alone, together);
            }
        }
        for (int group = 0; group < firsts.length; group++) {
            elimination.add(group, alone[group]);
        }
        together.forEach((pair, costs) -> elimination.add(pair.get(0), pair.get(1), costs));
        return elimination.solve(mostEntries);
    }

    private static void addEdges(
            Lattice lattice,
            int layer,
            int from,
            int to,
            int[][] choices,
            double[][] alone,
            Map<List<Integer>, double[]> together) {
        if (from == to) {
            for (int i = 0; i < choices[from].length; i++) {
                alone[from][i] += lattice.edgeCost(layer, choices[from][i], choices[from][i]);
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
                        lattice.edgeCost(layer, choices[from][i], choices[to][j]);
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
