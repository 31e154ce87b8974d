package underhand.bench;

import java.util.Arrays;
import java.util.Random;
import org.jgrapht.Graph;
import org.jgrapht.graph.DefaultWeightedEdge;
import org.jgrapht.graph.SimpleDirectedWeightedGraph;
import underhand.route.Lattice;

/** A full lattice of stored random costs, as ours and as a JGraphT graph. */
final class RandomLattice implements Lattice {

    private final double[][] node;
    private final float[][] edge;

    /** Edges between all layers cost the same, as those of a song's chords do when they come again. */
    RandomLattice(int layers, int width, long seed) {
        Random random = new Random(seed);
        node = new double[layers][width];
        edge = new float[width][width];
        for (double[] layer : node) {
            Arrays.setAll(layer, n -> random.nextDouble() * 10);
        }
        for (float[] row : edge) {
            for (int to = 0; to < width; to++) {
                row[to] = random.nextFloat() * 10;
            }
        }
    }

    /** The same lattice as vertices and edges, with a start (0) and an end (1); the others follow layer by layer. */
    Graph<Integer, DefaultWeightedEdge> graph() {
        Graph<Integer, DefaultWeightedEdge> graph = new SimpleDirectedWeightedGraph<>(DefaultWeightedEdge.class);
        int width = edge.length;
        for (int vertex = 0; vertex < 2 + node.length * width; vertex++) {
            graph.addVertex(vertex);
        }
        for (int layer = 0; layer < node.length; layer++) {
            for (int to = 0; to < width; to++) {
                int vertex = 2 + layer * width + to;
                if (layer == 0) {
                    graph.setEdgeWeight(graph.addEdge(0, vertex), node[0][to]);
                }
                for (int from = 0; layer > 0 && from < width; from++) {
                    int before = 2 + (layer - 1) * width + from;
                    graph.setEdgeWeight(graph.addEdge(before, vertex), edge[from][to] + node[layer][to]);
                }
                if (layer == node.length - 1) {
                    graph.setEdgeWeight(graph.addEdge(vertex, 1), 0);
                }
            }
        }
        return graph;
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
        return edge[from][to];
    }
}
