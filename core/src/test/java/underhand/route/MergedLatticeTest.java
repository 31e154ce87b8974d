package underhand.route;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Arrays;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class MergedLatticeTest {

    /** A song of few groups in any order: all passages between the same two groups cost the same, or each its own. */
    private record Repeating(int[] groups, double[][] nodes, double[][][][] edges, boolean alike) implements Lattice {

        static Repeating random(Random random, int layers, int groups, boolean alike) {
            int[] order = random.ints(layers, 0, groups).toArray();
            double[][] nodes = new double[layers][];
            int[] widths = random.ints(groups, 1, 4).toArray();
            for (int layer = 0; layer < layers; layer++) {
                nodes[layer] = random.doubles(widths[order[layer]], -1, 1).toArray();
            }
            double[][][][] edges = new double[alike ? groups : layers][groups][][];
            for (int from = 0; from < edges.length; from++) {
                int width = alike ? widths[from] : widths[order[from]];
                for (int to = 0; to < groups; to++) {
                    int reached = widths[to];
                    edges[from][to] = IntStream.range(0, width)
                            .mapToObj(n -> random.doubles(reached).toArray())
                            .toArray(double[][]::new);
                }
            }
            return new Repeating(order, nodes, edges, alike);
        }

        int[] ties() {
            return IntStream.range(0, groups.length)
                    .map(layer -> IntStream.rangeClosed(0, layer)
                            .filter(l -> groups[l] == groups[layer])
                            .findFirst()
                            .orElseThrow())
                    .toArray();
        }

        @Override
        public int layers() {
            return groups.length;
        }

        @Override
        public int nodes(int layer) {
            return nodes[layer].length;
        }

        @Override
        public double nodeCost(int layer, int node) {
            return nodes[layer][node];
        }

        @Override
        public double edgeCost(int layer, int from, int to) {
            return edges[alike ? groups[layer] : layer][groups[layer + 1]][from][to];
        }

        @Override
        public boolean sameEdges(int layer, int other) {
            return alike ? groups[layer + 1] == groups[other + 1] : layer == other;
        }

        double cost(int[] way) {
            double cost = 0;
            for (int layer = 0; layer < way.length; layer++) {
                cost += nodes[layer][way[layer]] + (layer == 0 ? 0 : edgeCost(layer - 1, way[layer - 1], way[layer]));
            }
            return cost;
        }
    }

    /** Every tied way costs on the skeleton what it costs in full, and the least of them is found. */
    @Test
    void tiedWays_costTheSame_andTheLeastIsFound() {
        Random random = new Random(2026);
        int shorter = 0;
        for (int i = 0; i < 400; i++) {
            Repeating lattice = Repeating.random(random, 1 + random.nextInt(12), 1 + random.nextInt(4), i % 2 == 0);
            int[] ties = lattice.ties();
            MergedLattice skeleton = new MergedLattice(lattice, ties);
            shorter += skeleton.layers() < lattice.layers() ? 1 : 0;
            int[] firsts = Arrays.stream(ties).distinct().toArray();
            int[] chosen = new int[firsts.length];
            double least = Double.POSITIVE_INFINITY;
            int group = 0;
            while (group < chosen.length) {
                int[] way = Arrays.stream(ties)
                        .map(first -> chosen[Arrays.binarySearch(firsts, first)])
                        .toArray();
                least = Math.min(least, lattice.cost(way));
                assertEquals(lattice.cost(way), onSkeleton(skeleton, way, ties, lattice), 1e-9, "case " + i);
                group = 0;
                while (group < chosen.length && ++chosen[group] == lattice.nodes(firsts[group])) {
                    chosen[group++] = 0;
                }
            }
            TiedRouteSolver.Tied tied = TiedRouteSolver.solve(lattice, ties, 1_000_000);
            assertTrue(tied.proven());
            assertEquals(least, tied.total(), 1e-9, "seed 2026, case " + i);
            assertEquals(tied.total(), lattice.cost(tied.nodes()), 1e-12);
        }
        assertTrue(shorter > 150, "few of these lattices repeat a passage: " + shorter);
    }

    private static double onSkeleton(MergedLattice skeleton, int[] way, int[] ties, Repeating lattice) {
        int[] there = new int[skeleton.layers()];
        int[] spread = new int[skeleton.layers()];
        for (int layer = 0; layer < there.length; layer++) {
            // The layer of the whole lattice that a layer here stands for is found by spreading its number.
            Arrays.fill(spread, 0);
            int first = skeleton.ties()[layer];
            for (int same = 0; same < spread.length; same++) {
                spread[same] = skeleton.ties()[same] == first ? 1 : 0;
            }
            int[] marked = skeleton.spread(spread);
            int at = IntStream.range(0, marked.length)
                    .filter(l -> marked[l] == 1)
                    .findFirst()
                    .orElseThrow();
            assertEquals(lattice.nodes(at), skeleton.nodes(layer));
            there[layer] = way[ties[at]];
        }
        assertArrayEquals(way, skeleton.spread(there));
        double cost = 0;
        for (int layer = 0; layer < there.length; layer++) {
            cost += skeleton.nodeCost(layer, there[layer])
                    + (layer == 0 ? 0 : skeleton.edgeCost(layer - 1, there[layer - 1], there[layer]));
        }
        return cost;
    }
}
