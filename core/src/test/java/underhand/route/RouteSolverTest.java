package underhand.route;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Arrays;
import java.util.Random;
import java.util.stream.IntStream;
import org.jgrapht.Graph;
import org.jgrapht.alg.shortestpath.DijkstraShortestPath;
import org.jgrapht.graph.DefaultWeightedEdge;
import org.jgrapht.graph.SimpleDirectedWeightedGraph;
import org.junit.jupiter.api.Test;

class RouteSolverTest {

    /** A node may cost less than nothing: a grip with the open strings that are sought. */
    private static final double LEAST = -4;

    /** A lattice of stored costs. */
    private record Stored(double[][] node, double[][][] edge) implements Lattice {

        static Stored random(Random random, int layers, int widest) {
            double[][] node = new double[layers][];
            double[][][] edge = new double[Math.max(0, layers - 1)][][];
            for (int layer = 0; layer < layers; layer++) {
                node[layer] =
                        random.doubles(1 + random.nextInt(widest), LEAST, 10).toArray();
            }
            for (int layer = 0; layer + 1 < layers; layer++) {
                edge[layer] = new double[node[layer].length][];
                for (int from = 0; from < node[layer].length; from++) {
                    edge[layer][from] =
                            random.doubles(node[layer + 1].length, 0, 10).toArray();
                }
            }
            return new Stored(node, edge);
        }

        /** As many nodes in every layer. */
        static Stored square(Random random, int layers, int nodes) {
            double[][] node = new double[layers][];
            double[][][] edge = new double[layers - 1][nodes][];
            for (int layer = 0; layer < layers; layer++) {
                node[layer] = random.doubles(nodes, 0, 10).toArray();
                for (int from = 0; layer + 1 < layers && from < nodes; from++) {
                    edge[layer][from] = random.doubles(nodes, 0, 10).toArray();
                }
            }
            return new Stored(node, edge);
        }

        Stored forced(int layer, int only) {
            double[][] changed = node.clone();
            changed[layer] = node[layer].clone();
            for (int n = 0; n < changed[layer].length; n++) {
                changed[layer][n] = n == only ? node[layer][n] : Double.POSITIVE_INFINITY;
            }
            return new Stored(changed, edge);
        }

        @Override
        public int layers() {
            return node.length;
        }

        @Override
        public int nodes(int layer) {
            return node[layer].length;
        }

        @Override
        public double nodeCost(int layer, int n) {
            return node[layer][n];
        }

        @Override
        public double edgeCost(int layer, int from, int to) {
            return edge[layer][from][to];
        }
    }

    private static double exhaustive(Lattice lattice, int layer, int at) {
        double best = layer + 1 == lattice.layers() ? 0 : Double.POSITIVE_INFINITY;
        if (layer + 1 < lattice.layers()) {
            for (int to = 0; to < lattice.nodes(layer + 1); to++) {
                best = Math.min(best, lattice.edgeCost(layer, at, to) + exhaustive(lattice, layer + 1, to));
            }
        }
        return lattice.nodeCost(layer, at) + best;
    }

    /** Cost of the cheapest way in which tied layers agree, by trying all. */
    private static double exhaustiveTied(Lattice lattice, int[] ties, int[] nodes, int layer) {
        if (layer == lattice.layers()) {
            return 0;
        }
        double best = Double.POSITIVE_INFINITY;
        for (int n = 0; n < lattice.nodes(layer); n++) {
            if (ties[layer] == layer || nodes[ties[layer]] == n) {
                nodes[layer] = n;
                double here = lattice.nodeCost(layer, n)
                        + (layer == 0 ? 0 : lattice.edgeCost(layer - 1, nodes[layer - 1], n));
                best = Math.min(best, here + exhaustiveTied(lattice, ties, nodes, layer + 1));
            }
        }
        return best;
    }

    @Test
    void solveTied_randomSmallLattices_equalsTryingEveryTiedWay() {
        Random random = new Random(1960);
        int bound = 0;
        for (int i = 0; i < 500; i++) {
            int layers = 2 + random.nextInt(5);
            Stored lattice = Stored.square(random, layers, 4);
            int[] ties = new int[layers];
            for (int layer = 0; layer < layers; layer++) {
                int to = random.nextInt(layer + 1);
                ties[layer] = ties[to] == to ? to : layer;
            }
            TiedRouteSolver.Tied tied = TiedRouteSolver.solve(lattice, ties, 10_000);
            assertTrue(tied.proven());
            assertEquals(exhaustiveTied(lattice, ties, new int[layers], 0), tied.total(), 1e-9, "seed 1960, case " + i);
            for (int layer = 0; layer < layers; layer++) {
                assertEquals(tied.nodes()[ties[layer]], tied.nodes()[layer]);
            }
            bound += tied.total() > RouteSolver.solve(lattice).total() + 1e-9 ? 1 : 0;
            TiedRouteSolver.Tied cut = TiedRouteSolver.solve(lattice, ties, 1);
            assertTrue(cut.total() >= tied.total() - 1e-9);
        }
        assertTrue(bound > 100, "ties seldom bind in these lattices: " + bound);
    }

    @Test
    void solve_randomSmallLattices_equalsTryingEveryWay() {
        Random random = new Random(1967);
        for (int i = 0; i < 500; i++) {
            Stored lattice = Stored.random(random, 1 + random.nextInt(5), 5);
            double best = Double.POSITIVE_INFINITY;
            for (int n = 0; n < lattice.nodes(0); n++) {
                best = Math.min(best, exhaustive(lattice, 0, n));
            }
            Route route = RouteSolver.solve(lattice);
            assertEquals(best, route.total(), 1e-9, "seed 1967, case " + i);
            assertEquals(best, costOf(lattice, route.nodes()), 1e-9, "the way costs what it says, case " + i);
        }
    }

    private static double costOf(Lattice lattice, int[] nodes) {
        double cost = lattice.nodeCost(0, nodes[0]);
        for (int layer = 1; layer < nodes.length; layer++) {
            cost += lattice.edgeCost(layer - 1, nodes[layer - 1], nodes[layer]) + lattice.nodeCost(layer, nodes[layer]);
        }
        return cost;
    }

    @Test
    void solve_everyPrice_equalsSolvingAgainWithTheNodeForced() {
        Random random = new Random(1989);
        for (int i = 0; i < 100; i++) {
            Stored lattice = Stored.random(random, 1 + random.nextInt(6), 6);
            Route route = RouteSolver.solve(lattice);
            for (int layer = 0; layer < lattice.layers(); layer++) {
                for (int n = 0; n < lattice.nodes(layer); n++) {
                    double forced = RouteSolver.solve(lattice.forced(layer, n)).total();
                    assertEquals(forced - route.total(), route.prices()[layer][n], 1e-9, "seed 1989, case " + i);
                }
            }
        }
    }

    @Test
    void solve_largeLattices_agreesWithJGraphT() {
        Random random = new Random(2006);
        for (int i = 0; i < 50; i++) {
            Stored lattice = Stored.random(random, 20, 25);
            assertEquals(byJGraphT(lattice), RouteSolver.solve(lattice).total(), 1e-9, "seed 2006, case " + i);
        }
    }

    /** Dijkstra takes no cost below nothing: every node is raised by the same, which every way passes as often. */
    private static double byJGraphT(Stored lattice) {
        Graph<String, DefaultWeightedEdge> graph = new SimpleDirectedWeightedGraph<>(DefaultWeightedEdge.class);
        graph.addVertex("start");
        graph.addVertex("end");
        for (int layer = 0; layer < lattice.layers(); layer++) {
            for (int n = 0; n < lattice.nodes(layer); n++) {
                graph.addVertex(layer + ":" + n);
                int from = layer == 0 ? 1 : lattice.nodes(layer - 1);
                for (int f = 0; f < from; f++) {
                    double edge = layer == 0 ? 0 : lattice.edgeCost(layer - 1, f, n);
                    String source = layer == 0 ? "start" : layer - 1 + ":" + f;
                    graph.setEdgeWeight(
                            graph.addEdge(source, layer + ":" + n), edge + lattice.nodeCost(layer, n) - LEAST);
                }
            }
        }
        int last = lattice.layers() - 1;
        for (int n = 0; n < lattice.nodes(last); n++) {
            graph.setEdgeWeight(graph.addEdge(last + ":" + n, "end"), 0);
        }
        return new DijkstraShortestPath<>(graph).getPathWeight("start", "end") + LEAST * lattice.layers();
    }

    @Test
    void solve_equalWays_takesTheLowerNode() {
        Stored lattice = new Stored(new double[][] {{1, 1}, {1, 1}}, new double[][][] {{{0, 0}, {0, 0}}});
        assertArrayEquals(new int[] {0, 0}, RouteSolver.solve(lattice).nodes());
    }

    @Test
    void solve_noWay_isInfiniteAndSaysSo() {
        double no = Double.POSITIVE_INFINITY;
        Route route = RouteSolver.solve(new Stored(new double[][] {{1}, {1}}, new double[][][] {{{no}}}));
        assertTrue(!route.isPossible());
    }

    @Test
    void solve_noLayers_costsNothing() {
        assertEquals(
                0,
                RouteSolver.solve(new Stored(new double[0][], new double[0][][]))
                        .total());
    }

    /** A lattice that tells no more of a dear edge than that it is too dear, and whose last node is a placeholder. */
    private record Sparing(Lattice whole, Random random) implements Lattice {

        @Override
        public int layers() {
            return whole.layers();
        }

        @Override
        public int nodes(int layer) {
            return whole.nodes(layer);
        }

        @Override
        public double nodeCost(int layer, int node) {
            return whole.nodeCost(layer, node);
        }

        @Override
        public double edgeCost(int layer, int from, int to) {
            return whole.edgeCost(layer, from, to);
        }

        @Override
        public Edges edges(int layer) {
            return (from, to, most) -> {
                double cost = edgeCost(layer, from, to);
                return cost > most ? most + (cost - most) * (0.01 + random.nextDouble()) : cost;
            };
        }

        @Override
        public boolean isPlaceholder(int layer, int node) {
            return node == nodes(layer) - 1;
        }
    }

    @Test
    void solve_dearEdgesNotTold_sameRoute() {
        for (int seed = 0; seed < 300; seed++) {
            Random random = new Random(seed);
            Lattice lattice = Stored.random(random, 1 + random.nextInt(9), 7);
            Route told = RouteSolver.solve(lattice);
            Route spared = RouteSolver.solve(new Sparing(lattice, random));
            assertArrayEquals(told.nodes(), spared.nodes());
            assertEquals(told.total(), spared.total());
            for (int layer = 0; layer < lattice.layers(); layer++) {
                assertArrayEquals(told.prices()[layer], spared.prices()[layer], 1e-9);
            }
        }
    }

    @Test
    void solveTied_withPlaceholders_isExactWhereItTakesNone() {
        int answers = 0;
        for (int seed = 0; seed < 300; seed++) {
            Random random = new Random(seed);
            int layers = 4 + random.nextInt(4);
            Lattice lattice = Stored.square(random, layers, 4);
            int[] ties = IntStream.range(0, layers).map(layer -> layer % 3).toArray();
            TiedRouteSolver.Tied told = TiedRouteSolver.solve(lattice, ties, 1_000_000);
            TiedRouteSolver.Tied sketched = TiedRouteSolver.solve(new Sparing(lattice, random), ties, 1_000_000);
            if (Arrays.stream(sketched.nodes()).noneMatch(node -> node == 3)) {
                answers++;
                assertTrue(sketched.proven());
                assertEquals(told.total(), sketched.total(), 1e-9);
            } else {
                assertTrue(sketched.total() >= told.total() - 1e-9);
            }
        }
        assertTrue(answers > 50 && answers < 250, "answered " + answers);
    }
}
