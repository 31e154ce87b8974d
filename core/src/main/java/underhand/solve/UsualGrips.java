package underhand.solve;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import underhand.chord.ChordSymbol;
import underhand.hand.Parameters;
import underhand.hand.Rung;
import underhand.neck.Shape;
import underhand.solve.Layer.Block;

/**
 * The grip each chord has throughout a song on the first rungs: the one it is played with most often in the part of least
 * effort, the first of equals. Another one is played only where it saves more than a margin.
 */
public final class UsualGrips {

    /** Up to this rung a chord keeps its grip. */
    private static final int KEEPS = 2;

    /** How often each chord is played with each shape. */
    private final Map<ChordSymbol, Map<Shape, Integer>> played = new LinkedHashMap<>();

    private final Map<ChordSymbol, Shape> usual = new HashMap<>();
    private final double margin;

    private UsualGrips(double margin) {
        this.margin = margin;
    }

    /** How much another grip has to save on a rung; 0 where chords keep none. */
    private static double margin(Rung rung, Parameters parameters) {
        return rung.level() <= KEEPS ? parameters.get("habit.other." + rung.level()) : 0;
    }

    /** The usual grips of a part; empty where a rung keeps none. */
    public static Optional<UsualGrips> of(List<PlacedGrip> part, Rung rung, Parameters parameters) {
        UsualGrips grips = new UsualGrips(margin(rung, parameters));
        part.stream()
                .filter(p -> !p.locked())
                .forEach(p -> p.grip()
                        .ifPresent(
                                g -> grips.add(p.segment().sounding(), g.grip().shape())));
        return grips.margin > 0 ? Optional.of(grips) : Optional.empty();
    }

    /** The same for nodes of a lattice; empty as well where no chord has two grips. */
    static Optional<UsualGrips> of(List<Layer> layers, int[] nodes, Rung rung, Parameters parameters) {
        UsualGrips grips = new UsualGrips(margin(rung, parameters));
        for (int i = 0; i < nodes.length; i++) {
            Block block = layers.get(i).block(nodes[i]);
            if (!block.held() && block.locked() == 0) {
                grips.add(
                        block.segment().sounding(),
                        layers.get(i).grip(nodes[i]).grip().shape());
            }
        }
        boolean isKept = grips.played.values().stream().allMatch(shapes -> shapes.size() == 1);
        return grips.margin > 0 && !isKept ? Optional.of(grips) : Optional.empty();
    }

    private void add(ChordSymbol chord, Shape shape) {
        Map<Shape, Integer> shapes = played.computeIfAbsent(chord, c -> new LinkedHashMap<>());
        shapes.merge(shape, 1, Integer::sum);
        Shape first = usual.getOrDefault(chord, shape);
        usual.put(chord, shapes.get(shape) > shapes.getOrDefault(first, 0) ? shape : first);
    }

    /** What a grip costs where its chord has another one elsewhere. */
    double price(ChordSymbol chord, Shape shape) {
        Shape kept = usual.get(chord);
        return kept == null || kept.equals(shape) ? 0 : margin;
    }

    /** What all grips of a route cost for not being the usual ones. */
    double paid(List<Layer> layers, int[] nodes) {
        double paid = 0;
        for (int i = 0; i < nodes.length; i++) {
            Block block = layers.get(i).block(nodes[i]);
            if (!block.held()) {
                paid += price(
                        block.segment().sounding(),
                        layers.get(i).grip(nodes[i]).grip().shape());
            }
        }
        return paid;
    }

    /** How a placement keeps to its chord's grip, in words; empty where the chord is played once. */
    public Optional<String> words(PlacedGrip placed) {
        if (placed.grip().isEmpty() || placed.locked()) {
            return Optional.empty();
        }
        Map<Shape, Integer> shapes = played.get(placed.segment().sounding());
        if (shapes.values().stream().mapToInt(Integer::intValue).sum() < 2) {
            return Optional.empty();
        }
        Shape kept = usual.get(placed.segment().sounding());
        return Optional.of(
                kept.equals(placed.grip().get().grip().shape())
                        ? String.format(
                                Locale.ROOT,
                                "On this rung a chord keeps its grip: another one here has to save more than %.1f.",
                                margin)
                        : String.format(
                                Locale.ROOT,
                                "Elsewhere it is %s: on this rung another grip has to save more than %.1f, and this one does.",
                                kept,
                                margin));
    }
}
