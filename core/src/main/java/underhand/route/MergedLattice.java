package underhand.route;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * A lattice with tied layers, each passage between two groups of them only once: what is played alike need not be looked at
 * twice. The passages are strung together as they come; where one does not begin where the one before ended, going on costs
 * nothing. A way here on which the layers of each group agree costs what the same way through the whole lattice costs.
 */
final class MergedLattice implements Lattice {

    /** A layer from which a passage goes on, and how many passages between the same groups cost the same. */
    private record Passage(int layer, int times) {}

    private final Lattice whole;

    /** Group of each layer of the whole lattice: the number of its first layer among the first layers. */
    private final int[] groupOf;

    /** First layer of each group in the whole lattice. */
    private final int[] firsts;

    /** Group of each layer here. */
    private final int[] groups;

    /** Passages that lead to the next layer; none where the next one begins anew. */
    private final Passage[][] passages;

    private final double[][] nodeCosts;

    /** @param ties for each layer the first layer it is tied to, itself where it is the first */
    MergedLattice(Lattice whole, int[] ties) {
        this.whole = whole;
        this.firsts = Arrays.stream(ties).distinct().toArray();
        this.groupOf = Arrays.stream(ties)
                .map(first -> Arrays.binarySearch(firsts, first))
                .toArray();
        Map<List<Integer>, List<Passage>> between = new HashMap<>();
        List<List<Passage>> onwards = new ArrayList<>();
        List<Integer> strung = new ArrayList<>(ties.length > 0 ? List.of(groupOf[0]) : List.of());
        for (int layer = 0; layer + 1 < ties.length; layer++) {
            List<Integer> pair = List.of(groupOf[layer], groupOf[layer + 1]);
            List<Passage> known = between.get(pair);
            if (known == null) {
                known = new ArrayList<>();
                between.put(pair, known);
                if (!strung.get(strung.size() - 1).equals(pair.get(0))) {
                    onwards.add(List.of());
                    strung.add(pair.get(0));
                }
                onwards.add(known);
                strung.add(pair.get(1));
            }
            count(known, layer);
        }
        this.groups = strung.stream().mapToInt(Integer::intValue).toArray();
        this.passages =
                onwards.stream().map(known -> known.toArray(Passage[]::new)).toArray(Passage[][]::new);
        this.nodeCosts = nodeCosts();
    }

    private void count(List<Passage> known, int layer) {
        for (int i = 0; i < known.size(); i++) {
            Passage passage = known.get(i);
            if (whole.sameEdges(passage.layer(), layer)) {
                known.set(i, new Passage(passage.layer(), passage.times() + 1));
                return;
            }
        }
        known.add(new Passage(layer, 1));
    }

    /** What a group's nodes cost in all its layers together, shared out among its layers here. */
    private double[][] nodeCosts() {
        double[][] costs =
                Arrays.stream(firsts).mapToObj(f -> new double[whole.nodes(f)]).toArray(double[][]::new);
        for (int layer = 0; layer < groupOf.length; layer++) {
            double[] group = costs[groupOf[layer]];
            for (int node = 0; node < group.length; node++) {
                group[node] += whole.nodeCost(layer, node);
            }
        }
        for (int group = 0; group < costs.length; group++) {
            int shared = group;
            long times = Arrays.stream(groups).filter(g -> g == shared).count();
            for (int node = 0; node < costs[group].length; node++) {
                costs[group][node] /= times;
            }
        }
        return costs;
    }

    /** Ties of the layers here. */
    int[] ties() {
        int[] firsts = new int[nodeCosts.length];
        for (int layer = groups.length - 1; layer >= 0; layer--) {
            firsts[groups[layer]] = layer;
        }
        return Arrays.stream(groups).map(group -> firsts[group]).toArray();
    }

    /** The nodes of the whole lattice's layers on a way here on which the layers of each group agree. */
    int[] spread(int[] nodes) {
        int[] byGroup = new int[nodeCosts.length];
        for (int layer = 0; layer < groups.length; layer++) {
            byGroup[groups[layer]] = nodes[layer];
        }
        return Arrays.stream(groupOf).map(group -> byGroup[group]).toArray();
    }

    @Override
    public int layers() {
        return groups.length;
    }

    @Override
    public int nodes(int layer) {
        return nodeCosts[groups[layer]].length;
    }

    @Override
    public double nodeCost(int layer, int node) {
        return nodeCosts[groups[layer]][node];
    }

    @Override
    public boolean isPlaceholder(int layer, int node) {
        return whole.isPlaceholder(firsts[groups[layer]], node);
    }

    @Override
    public double edgeCost(int layer, int from, int to) {
        return edges(layer).cost(from, to, Double.POSITIVE_INFINITY);
    }

    @Override
    public Edges edges(int layer) {
        Passage[] alike = passages[layer];
        Edges[] edges = Arrays.stream(alike).map(p -> whole.edges(p.layer())).toArray(Edges[]::new);
        return (from, to, most) -> {
            double cost = 0;
            for (int i = 0; i < edges.length && cost <= most; i++) {
                int times = alike[i].times();
                cost += times * edges[i].cost(from, to, (most - cost) / times);
            }
            return cost;
        };
    }
}
