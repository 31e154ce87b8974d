package underhand.route;

/**
 * The cheapest way through a lattice and the price of forcing every node.
 *
 * @param total cost of the cheapest way; infinite when there is none
 * @param nodes chosen node of each layer
 * @param prices {@code [layer][node]}: how much dearer the cheapest way through that node is than the cheapest of all;
 *     0 for chosen nodes
 */
public record Route(double total, int[] nodes, double[][] prices) {

    public boolean isPossible() {
        return !Double.isInfinite(total);
    }
}
