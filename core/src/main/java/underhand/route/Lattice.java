package underhand.route;

/**
 * Layers of nodes, each joined to every node of the next layer. Edges cost 0 or more, nodes may cost less than
 * nothing; both may be infinite, never NaN.
 */
public interface Lattice {

    int layers();

    /** Number of nodes of a layer, at least 1. */
    int nodes(int layer);

    double nodeCost(int layer, int node);

    /** Cost of going from a node of {@code layer} to a node of {@code layer + 1}. */
    double edgeCost(int layer, int from, int to);

    /** All edges from {@code layer} to the next: who asks for many of them asks here. */
    default Edges edges(int layer) {
        return (from, to, most) -> edgeCost(layer, from, to);
    }

    /** Whether going on from one layer is known to cost what it costs from another, node by node; false when in doubt. */
    default boolean sameEdges(int layer, int other) {
        return layer == other;
    }

    /** Whether a node only stands for others that are not known yet: a way through it is no answer. */
    default boolean isPlaceholder(int layer, int node) {
        return false;
    }

    /** The edges between two layers. */
    interface Edges {

        /** Cost of an edge; one that costs more than {@code most} may be said to cost anything above that. */
        double cost(int from, int to, double most);
    }
}
