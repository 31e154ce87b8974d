package underhand.arrange;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import underhand.arrange.Layer.Block;
import underhand.arrange.PlacedGrip.Alternative;
import underhand.chart.Chart;
import underhand.chord.ChordSymbol;
import underhand.hand.Grip;
import underhand.hand.Parameters;
import underhand.harmony.Degree;
import underhand.harmony.Reading;
import underhand.harmony.Spot;
import underhand.move.Change;
import underhand.move.ChangeModel;
import underhand.move.ChangeTerm;
import underhand.neck.Fretboard;
import underhand.neck.Shape;
import underhand.pitch.Key;
import underhand.route.TiedRouteSolver;

/**
 * Solves a song for one capo position: the grips of every chord, the changes between them, the exact cheapest route.
 *
 * <p>A sketch looks at the few cheapest grips of each chord first and at more only where it cannot prove that none of
 * those left out belongs to a cheaper route; it gives the same part as a full solution, without the other grips' prices.
 */
final class PartSolver {

    /** Most grips of a chord; one has more only on the highest rungs. */
    static final int MOST_GRIPS = 100;

    /** Grips of a chord a sketch begins with. */
    private static final int SKETCHED_GRIPS = 6;

    /** Passes over the lattice that may be spent on playing repeats alike. */
    private static final int MOST_PASSES = 400;

    /** Highest fret at which a capo leaves the guitar its body. */
    private static final int LOW_CAPO = 5;

    private final Song song;
    private final ArrangementSettings settings;
    private final int capo;
    private final Pools pools;
    private final SongLattice.Beside beside;
    private final ChangeModel changes;
    private final VoiceLeading voices;
    private final GripChanges prices;
    private final double capoPrice;
    private final StrokeTiming timing;

    PartSolver(Song song, ArrangementSettings settings, int capo, Parameters parameters) {
        this(song, settings, capo, parameters, Optional.empty());
    }

    /** @param companion another guitar the part has to keep away from */
    PartSolver(
            Song song, ArrangementSettings settings, int capo, Parameters parameters, Optional<Companion> companion) {
        this.song = song;
        this.settings = settings;
        this.capo = capo;
        Fretboard board = new Fretboard(settings.guitar(), settings.tuning(), capo);
        GripFinder finder = new GripFinder(
                        board,
                        settings.rung(),
                        settings.player(),
                        settings.voicing(),
                        GripFinder.HIGHEST_FRET,
                        parameters)
                .withHouseRules(settings.houseRules());
        this.timing = new StrokeTiming(settings.patterns(), song.tempo(), board);
        this.pools = new Pools(finder);
        this.beside = companion
                .<SongLattice.Beside>map(c -> (at, grip) -> c.price(at, grip, board))
                .orElse(SongLattice.Beside.NOBODY);
        this.changes = new ChangeModel(board, settings.rung(), settings.player(), parameters);
        this.voices = new VoiceLeading(board, settings.voicing(), settings.houseRules(), parameters);
        this.prices = new GripChanges(changes, voices, parameters);
        this.capoPrice =
                parameters.get("capo.fret") * capo + parameters.get("capo.high") * Math.max(0, capo - LOW_CAPO);
    }

    /** The part, without the prices of other grips. */
    SolvedPart sketch() {
        LayerBuilder builder = new LayerBuilder(song, pools, timing, settings, SKETCHED_GRIPS, MOST_GRIPS);
        return part(builder, widened(builder), false);
    }

    /** The part, with the price of every other grip. */
    SolvedPart solve() {
        LayerBuilder builder = new LayerBuilder(song, pools, timing, settings, MOST_GRIPS, MOST_GRIPS);
        return part(builder, solution(builder), true);
    }

    private record Solution(List<Layer> layers, TiedRouteSolver.Tied route) {

        /** Whether no grip left out of a block could be part of a cheaper route. */
        boolean proves(int layer, Block block) {
            return block.held() || route.free().floors()[layer] + block.leftOutFrom() >= route.total();
        }

        boolean isProven() {
            for (int layer = 0; layer < layers.size(); layer++) {
                int at = layer;
                if (!layers.get(layer).blocks().stream().allMatch(block -> proves(at, block))) {
                    return false;
                }
            }
            return route.proven();
        }
    }

    /** What the whole part costs with each of some readings of a placement, as a sketch finds it; infinite where none can. */
    List<Double> totals(List<Song.Forced> readings) {
        List<Double> totals = new ArrayList<>();
        for (Song.Forced forced : readings) {
            Song with = song.with(forced);
            LayerBuilder builder = new LayerBuilder(with, pools, timing, settings, SKETCHED_GRIPS, MOST_GRIPS);
            Solution solution = widened(builder);
            boolean played = solution.layers().stream().anyMatch(l -> l.placed().index() == forced.placement());
            totals.add(
                    played
                            ? solution.route().total() + capoPrice * played(solution.layers())
                            : Double.POSITIVE_INFINITY);
        }
        return totals;
    }

    private static long played(List<Layer> layers) {
        return layers.stream().mapToInt(l -> l.placed().index()).distinct().count();
    }

    private Solution widened(LayerBuilder builder) {
        Solution solution = solution(builder);
        while (widen(builder, solution)) {
            solution = solution(builder);
        }
        return solution;
    }

    private Solution solution(LayerBuilder builder) {
        List<Layer> layers = builder.build();
        SongLattice lattice = new SongLattice(layers, prices, timing, beside);
        return new Solution(layers, TiedRouteSolver.solve(lattice, builder.ties(), MOST_PASSES));
    }

    /** Widens the search of every chord whose left-out grips might matter; false when there is nothing to widen. */
    private static boolean widen(LayerBuilder builder, Solution solution) {
        Map<LayerBuilder.Wanted, Double> bounds = new HashMap<>();
        double[] floors = solution.route().free().floors();
        for (int layer = 0; layer < floors.length; layer++) {
            for (Block block : solution.layers().get(layer).blocks()) {
                if (!block.held()) {
                    bounds.merge(block.wanted(), solution.route().total() - floors[layer], Math::max);
                }
            }
        }
        boolean widened = false;
        for (Map.Entry<LayerBuilder.Wanted, Double> bound : bounds.entrySet()) {
            widened |= builder.widen(bound.getKey(), bound.getValue());
        }
        return widened;
    }

    private SolvedPart part(LayerBuilder builder, Solution solution, boolean priced) {
        List<PlacedGrip> placed = new ArrayList<>();
        int layer = 0;
        for (Chart.Placed at : song.placements()) {
            int first = layer;
            while (layer < solution.layers().size()
                    && solution.layers().get(layer).placed().index() == at.index()) {
                place(solution, layer, priced, placed);
                layer++;
            }
            if (layer == first) {
                placed.add(unplayed(placed.size(), at));
            }
        }
        return new SolvedPart(
                capo,
                solution.route().total() + capoPrice * played(solution.layers()),
                placed,
                timedChanges(placed),
                builder.unkeptLocks(),
                song.unkeptReadings(),
                solution.isProven());
    }

    /** Adds the grip chosen in a layer, unless it is held on from the layer before. */
    private void place(Solution solution, int layer, boolean priced, List<PlacedGrip> placed) {
        Layer at = solution.layers().get(layer);
        int node = solution.route().nodes()[layer];
        Block block = at.block(node);
        if (block.held()) {
            return;
        }
        double surcharge = solution.route().total() - solution.route().free().total();
        double[] prices = solution.route().free().prices()[layer];
        placed.add(new PlacedGrip(
                placed.size(),
                at.placed(),
                block.segment(),
                song.reading(at.placed().index(), block.segment().rule()).filter(r -> !r.isOriginal()),
                song.harmony().function(at.placed().index()),
                Optional.of(played(at.placed(), block.segment().sounding())),
                Optional.of(degree(at.placed(), block.segment().sounding())),
                Optional.of(at.grip(node)),
                block.locked() > 0,
                priced ? alternatives(at, at.blockOf(node), prices, at.grip(node), surcharge) : List.of()));
    }

    /** A placement without a chord, or whose chord no hand can play. */
    private PlacedGrip unplayed(int index, Chart.Placed at) {
        double beat = at.placement().beat();
        double beats = at.placement().beats();
        Optional<ChordSymbol> chord = at.placement().chord();
        return new PlacedGrip(
                index,
                at,
                new Segment(Reading.ORIGINAL, 0, chord, beat, beats),
                Optional.empty(),
                song.harmony().function(at.index()),
                chord.map(c -> played(at, c)),
                chord.map(c -> degree(at, c)),
                Optional.empty(),
                false,
                List.of());
    }

    private ChordSymbol played(Chart.Placed at, ChordSymbol chord) {
        return capo == 0 ? chord : chord.transpose(-capo, key(at).transpose(-capo));
    }

    private String degree(Chart.Placed at, ChordSymbol chord) {
        return Degree.of(chord, key(at));
    }

    private Key key(Chart.Placed at) {
        return song.harmony().spot(at.index()).map(Spot::key).orElse(song.key());
    }

    /** The cheapest fingering of every other shape of a block, cheapest shapes first. */
    private static List<Alternative> alternatives(
            Layer layer, int block, double[] prices, RatedGrip chosen, double surcharge) {
        Block at = layer.blocks().get(block);
        int first = layer.firstNode(block);
        Map<Shape, Alternative> best = new LinkedHashMap<>();
        for (int i = 0; i < at.grips().size(); i++) {
            RatedGrip grip = at.grips().get(i);
            if (!grip.grip().shape().equals(chosen.grip().shape())) {
                best.merge(
                        grip.grip().shape(),
                        new Alternative(grip, prices[first + i] - at.lockPrice(i) - surcharge),
                        (a, b) -> b.price() < a.price() ? b : a);
            }
        }
        return best.values().stream()
                .sorted(Comparator.comparingDouble(Alternative::price))
                .toList();
    }

    private List<TimedChange> timedChanges(List<PlacedGrip> placed) {
        List<TimedChange> timed = new ArrayList<>();
        PlacedGrip before = null;
        for (PlacedGrip after : placed) {
            if (after.grip().isPresent()) {
                if (before != null) {
                    timed.add(timedChange(before, after));
                }
                before = after;
            }
        }
        return timed;
    }

    private TimedChange timedChange(PlacedGrip before, PlacedGrip after) {
        Grip left = before.grip().orElseThrow().grip();
        Grip reached = after.grip().orElseThrow().grip();
        Change change = changes.between(left, reached);
        double available = timing.secondsToLeave(
                before.placed(), before.segment(), before.grip().orElseThrow());
        Map<ChangeTerm, Double> more = voices.terms(left, reached);
        double late = prices.late(change.neededSeconds(), available);
        if (late > 0) {
            more.put(ChangeTerm.LATE, late);
        }
        return new TimedChange(before.index(), after.index(), change, available, Collections.unmodifiableMap(more));
    }
}
