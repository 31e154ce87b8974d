package underhand.arrange;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import underhand.arrange.PlacedGrip.Alternative;
import underhand.chart.Chart;
import underhand.chord.ChordSymbol;
import underhand.hand.Grip;
import underhand.hand.Parameters;
import underhand.harmony.Degree;
import underhand.move.Change;
import underhand.move.ChangeModel;
import underhand.move.ChangeTerm;
import underhand.neck.Fretboard;
import underhand.neck.Shape;
import underhand.pitch.Key;
import underhand.route.Lattice;
import underhand.route.Route;
import underhand.route.RouteSolver;

/**
 * Solves a song for one capo position: all grips of every chord, all changes between them, the exact cheapest route.
 *
 * <p>Grips are searched once per chord and changes priced once per pair of chords, so a long song costs little more
 * than a short one with the same chords.
 */
final class PartSolver {

    /** Most grips of a layer; a chord has more only on the highest rungs. */
    static final int MOST_GRIPS = 100;

    private static final int ALTERNATIVES = 8;

    /** Dearer than any route of {@link Chart#MOST_PLACEMENTS} placements. */
    private static final double LOCK = 1e7;

    /** Highest fret at which a capo leaves the guitar its body. */
    private static final int LOW_CAPO = 5;

    private final Song song;
    private final ArrangementSettings settings;
    private final int capo;
    private final GripFinder finder;
    private final ChangeModel changes;
    private final VoiceLeading voices;
    private final double changeWeight;
    private final double lateWeight;
    private final double capoPrice;
    private final Map<ChordSymbol, GripFinder.Cheapest> pools = new HashMap<>();
    private final List<Integer> unkeptLocks = new ArrayList<>();

    PartSolver(Song song, ArrangementSettings settings, int capo, Parameters parameters) {
        this.song = song;
        this.settings = settings;
        this.capo = capo;
        Fretboard board = new Fretboard(settings.guitar(), settings.tuning(), capo);
        this.finder = new GripFinder(
                        board,
                        settings.rung(),
                        settings.player(),
                        settings.setting(),
                        GripFinder.HIGHEST_FRET,
                        parameters)
                .withTaste(settings.taste());
        this.changes = new ChangeModel(board, settings.rung(), settings.player(), parameters);
        this.voices = new VoiceLeading(board, settings.setting(), settings.taste(), parameters);
        this.changeWeight = parameters.get("route.change");
        this.lateWeight = parameters.get("late");
        this.capoPrice =
                parameters.get("capo.fret") * capo + parameters.get("capo.high") * Math.max(0, capo - LOW_CAPO);
    }

    /**
     * A placement that takes part in the route.
     *
     * @param locked how many grips, from the first, keep the player's lock; 0 when there is none
     */
    private record Layer(Chart.Placed placed, List<RatedGrip> grips, int locked, double leftOutFrom) {

        /** Taking another grip than a locked one costs more than any route, so that locks are kept. */
        double lockPrice(int node) {
            return locked > 0 && node >= locked ? LOCK : 0;
        }
    }

    SolvedPart solve() {
        List<Layer> layers = layers();
        Route route = RouteSolver.solve(new GripLattice(layers));
        Map<Integer, Integer> layerOf = new HashMap<>();
        for (int layer = 0; layer < layers.size(); layer++) {
            layerOf.put(layers.get(layer).placed().index(), layer);
        }
        List<PlacedGrip> placed = song.placements().stream()
                .map(p -> placed(p, layers, layerOf.get(p.index()), route))
                .toList();
        double total = route.total() + capoPrice * layers.size();
        return new SolvedPart(capo, total, placed, timedChanges(layers, route), unkeptLocks, isProven(layers, route));
    }

    private List<Layer> layers() {
        Map<Integer, Shape> locks = settings.locks().stream()
                .collect(Collectors.toMap(Lock::placement, Lock::shape, (first, second) -> second));
        List<Layer> layers = new ArrayList<>();
        for (Chart.Placed placed : song.placements()) {
            placed.placement().chord().ifPresent(chord -> {
                GripFinder.Cheapest pool =
                        pools.computeIfAbsent(chord, c -> finder.cheapest(c, song.occurrences(c), MOST_GRIPS));
                Shape lock = locks.get(placed.index());
                List<RatedGrip> locked = lock == null ? List.of() : lockedGrips(placed, chord, lock);
                List<RatedGrip> grips = locked.isEmpty() ? pool.grips() : joined(locked, pool.grips());
                if (!grips.isEmpty()) {
                    layers.add(new Layer(placed, grips, locked.size(), pool.leftOutFrom()));
                }
            });
        }
        return layers;
    }

    private List<RatedGrip> lockedGrips(Chart.Placed placed, ChordSymbol chord, Shape shape) {
        boolean fits = shape.strings() == finder.board().strings()
                && shape.highestFret() <= finder.board().frets();
        List<RatedGrip> found = fits ? finder.fingerings(shape, chord, song.occurrences(chord)) : List.of();
        if (found.isEmpty()) {
            unkeptLocks.add(placed.index());
        }
        return found;
    }

    /** Locked grips first, then those of other shapes. */
    private static List<RatedGrip> joined(List<RatedGrip> locked, List<RatedGrip> others) {
        Shape shape = locked.get(0).grip().shape();
        List<RatedGrip> joined = new ArrayList<>(locked);
        others.stream().filter(g -> !g.grip().shape().equals(shape)).forEach(joined::add);
        return joined;
    }

    /** Whether no grip that was left out could be part of a cheaper route. */
    private static boolean isProven(List<Layer> layers, Route route) {
        for (int layer = 0; layer < layers.size(); layer++) {
            if (route.floors()[layer] + layers.get(layer).leftOutFrom() < route.total()) {
                return false;
            }
        }
        return true;
    }

    /** The lattice of the route; the changes between two lists of grips are priced once and kept. */
    private final class GripLattice implements Lattice {
        private record Pair(List<RatedGrip> from, List<RatedGrip> to) {
            @Override
            public boolean equals(Object other) {
                return other instanceof Pair pair && pair.from == from && pair.to == to;
            }

            @Override
            public int hashCode() {
                return 31 * System.identityHashCode(from) + System.identityHashCode(to);
            }
        }

        /** {@code [from][to]}. */
        private record Prices(float[][] effort, float[][] seconds) {}

        private final List<Layer> layers;
        private final Prices[] prices;
        private final double[] available;

        GripLattice(List<Layer> layers) {
            this.layers = layers;
            int edges = Math.max(0, layers.size() - 1);
            this.prices = new Prices[edges];
            this.available = new double[edges];
            Map<Pair, Prices> known = new HashMap<>();
            for (int edge = 0; edge < edges; edge++) {
                Pair pair =
                        new Pair(layers.get(edge).grips(), layers.get(edge + 1).grips());
                prices[edge] = known.computeIfAbsent(pair, this::price);
                available[edge] = song.secondsToLeave(layers.get(edge).placed());
            }
        }

        private Prices price(Pair pair) {
            float[][] effort = new float[pair.from().size()][pair.to().size()];
            float[][] seconds = new float[pair.from().size()][pair.to().size()];
            List<VoiceLeading.Voices> reached =
                    pair.to().stream().map(g -> voices.voices(g.grip())).toList();
            for (int from = 0; from < effort.length; from++) {
                Grip left = pair.from().get(from).grip();
                VoiceLeading.Voices leaving = voices.voices(left);
                for (int to = 0; to < effort[from].length; to++) {
                    double[] both =
                            changes.effortAndSeconds(left, pair.to().get(to).grip());
                    effort[from][to] = (float) (changeWeight * both[0] + voices.effort(leaving, reached.get(to)));
                    seconds[from][to] = (float) both[1];
                }
            }
            return new Prices(effort, seconds);
        }

        @Override
        public int layers() {
            return layers.size();
        }

        @Override
        public int nodes(int layer) {
            return layers.get(layer).grips().size();
        }

        @Override
        public double nodeCost(int layer, int node) {
            Layer at = layers.get(layer);
            return at.grips().get(node).effort().total() + at.lockPrice(node);
        }

        @Override
        public double edgeCost(int layer, int from, int to) {
            Prices known = prices[layer];
            return known.effort()[from][to] + late(known.seconds()[from][to], available[layer]);
        }
    }

    private double late(double needed, double available) {
        return lateWeight * Math.max(0, needed - available);
    }

    private PlacedGrip placed(Chart.Placed placed, List<Layer> layers, Integer at, Route route) {
        Key key = placed.key().orElse(song.key());
        Key playedKey = key.transpose(-capo);
        Optional<ChordSymbol> chord = placed.placement().chord();
        Optional<ChordSymbol> played = chord.map(c -> capo == 0 ? c : c.transpose(-capo, playedKey));
        Optional<String> degree = chord.map(c -> Degree.of(c, key));
        if (at == null) {
            return new PlacedGrip(placed, played, degree, Optional.empty(), false, List.of());
        }
        Layer layer = layers.get(at);
        RatedGrip chosen = layer.grips().get(route.nodes()[at]);
        return new PlacedGrip(
                placed,
                played,
                degree,
                Optional.of(chosen),
                layer.locked() > 0,
                alternatives(layer, route.prices()[at], chosen));
    }

    /** The cheapest fingering of every other shape, cheapest shapes first. */
    private List<Alternative> alternatives(Layer layer, double[] prices, RatedGrip chosen) {
        Map<Shape, Alternative> best = new LinkedHashMap<>();
        for (int node = 0; node < prices.length; node++) {
            RatedGrip grip = layer.grips().get(node);
            if (!grip.grip().shape().equals(chosen.grip().shape())) {
                best.merge(
                        grip.grip().shape(),
                        new Alternative(grip, prices[node] - layer.lockPrice(node)),
                        (a, b) -> b.price() < a.price() ? b : a);
            }
        }
        return best.values().stream()
                .sorted(Comparator.comparingDouble(Alternative::price))
                .limit(ALTERNATIVES)
                .toList();
    }

    private List<TimedChange> timedChanges(List<Layer> layers, Route route) {
        List<TimedChange> timed = new ArrayList<>();
        for (int layer = 1; layer < layers.size(); layer++) {
            Layer before = layers.get(layer - 1);
            Layer after = layers.get(layer);
            Grip left = before.grips().get(route.nodes()[layer - 1]).grip();
            Grip reached = after.grips().get(route.nodes()[layer]).grip();
            Change change = changes.between(left, reached);
            double available = song.secondsToLeave(before.placed());
            Map<ChangeTerm, Double> more = voices.terms(left, reached);
            double late = late(change.neededSeconds(), available);
            if (late > 0) {
                more.put(ChangeTerm.LATE, late);
            }
            timed.add(new TimedChange(
                    before.placed().index(),
                    after.placed().index(),
                    change,
                    available,
                    Collections.unmodifiableMap(more)));
        }
        return timed;
    }
}
