package underhand.solve;

import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import underhand.hand.Grip;
import underhand.neck.Shape;
import underhand.repertoire.RatedGrip;
import underhand.solve.Layer.Block;
import underhand.solve.PlacedGrip.Alternative;

/** What else could be played in a layer: the same shape with other fingers, and other shapes, the cheapest first. */
record Others(List<Alternative> fingerings, List<Alternative> shapes) {

    static final Others NONE = new Others(List.of(), List.of());

    /** Other fingers, and the cheapest fingering of every other shape, by what the cheapest route through them adds; none that break a bond. */
    static Others of(Layer layer, Segment segment, RatedGrip chosen, double[] prices, double surcharge) {
        Map<Grip, Alternative> fingerings = new LinkedHashMap<>();
        Map<Shape, Alternative> shapes = new LinkedHashMap<>();
        for (int node = 0; node < layer.nodes(); node++) {
            Block block = layer.block(node);
            RatedGrip grip = layer.grip(node);
            double price = prices[node] - block.lockPrice(layer.inBlock(node)) + surcharge;
            if (block.segment().reading().equals(segment.reading())
                    && !grip.grip().equals(chosen.grip())
                    && price < Bonds.BROKEN / 2) {
                Alternative other = new Alternative(grip, price);
                if (grip.grip().shape().equals(chosen.grip().shape())) {
                    keepCheaper(fingerings, grip.grip(), other);
                } else {
                    keepCheaper(shapes, grip.grip().shape(), other);
                }
            }
        }
        return new Others(byPrice(fingerings.values()), byPrice(shapes.values()));
    }

    private static <K> void keepCheaper(Map<K, Alternative> best, K key, Alternative other) {
        best.merge(key, other, (a, b) -> b.price() < a.price() ? b : a);
    }

    private static List<Alternative> byPrice(Collection<Alternative> all) {
        return all.stream()
                .sorted(Comparator.comparingDouble(Alternative::price))
                .toList();
    }
}
