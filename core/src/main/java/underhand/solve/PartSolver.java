package underhand.solve;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import underhand.chart.Chart;
import underhand.chord.ChordSymbol;
import underhand.hand.Grip;
import underhand.hand.Parameters;
import underhand.harmony.ReadingId;
import underhand.move.Change;
import underhand.move.ChangeTerm;
import underhand.picking.PlayedPatterns;
import underhand.repertoire.KnownGrips;
import underhand.repertoire.RatedGrip;
import underhand.repertoire.WantedChord;
import underhand.route.Route;
import underhand.route.RouteSolver;
import underhand.route.TiedRouteSolver;
import underhand.route.TiedRouteSolver.Tied;
import underhand.settings.ArrangementSettings;
import underhand.solve.Layer.Block;
import underhand.texture.Motion;

/**
 * Solves a song for one capo position: the grips of every chord, the changes between them, the exact cheapest route.
 *
 * <p>The few cheapest grips of each chord are looked at first, and one node stands for all others, so cheap that the route
 * is drawn to it wherever one of them could serve. Chords are searched further until the route keeps away from those
 * nodes: then no grip that was left out belongs to a cheaper one. A song for which that takes too many comparisons gets the
 * best part found so far, with how far it can be off ({@link Budget}).
 *
 * <p>Nobody else may use what is known of the hand while a song is solved with it.
 */
public final class PartSolver implements Solver {

    /** Most grips of a chord that are looked at; one has more only on the highest rungs. */
    static final int MOST_GRIPS = 640;

    /** Grips of a chord whose prices are given. */
    public static final int PRICED_GRIPS = 100;

    /** Grips of a chord that are looked at first. */
    private static final int FIRST_GRIPS = 10;

    /** Combinations of grips that may be compared in one pass to play repeats alike. */
    private static final long MOST_COMBINATIONS = 16_000_000;

    /** Changes that may be looked at in all passes together; a song of a hundred bars mostly takes a tenth of it. */
    static final long MOST_CHANGES = 2_000_000;

    private static final int CHORDS_NAMED = 4;

    /** Highest fret at which a capo leaves the guitar its body. */
    private static final int LOW_CAPO = 5;

    private final Song song;
    private final ArrangementSettings settings;
    private final int capo;
    private final KnownGrips known;
    private final KnownGrips.Search searches;
    private final SongLattice.GripSurcharge beside;
    private final double capoPrice;
    private final StrokeTiming timing;
    private final Parameters parameters;

    /** @param companion another guitar the part has to keep away from */
    public PartSolver(
            Song song,
            ArrangementSettings settings,
            int capo,
            KnownGrips known,
            Optional<Companion> companion,
            Parameters parameters) {
        this.song = song;
        this.settings = settings;
        this.capo = capo;
        this.known = known;
        this.parameters = parameters;
        this.searches = known.new Search();
        this.timing =
                new StrokeTiming(new PlayedPatterns(settings.patterns(), settings.rung(), song.tempo()), known.board());
        this.beside = companion
                .<SongLattice.GripSurcharge>map(c -> (at, chord, grip) -> c.price(at, grip, known.board()))
                .or(() -> Singer.of(song.placements(), settings, known.board(), parameters)
                        .map(s -> (at, chord, grip) -> s.price(at, grip)))
                .orElse(SongLattice.GripSurcharge.NOBODY);
        this.capoPrice = capoPrice(song, capo, parameters);
    }

    /** What a capo at a fret costs each placement of a song. */
    public static double capoPrice(Song song, int capo, Parameters parameters) {
        return capo == 0
                ? 0
                : parameters.get("capo.on")
                        + parameters.get("capo.rich") * song.harmony().style().richness()
                        + parameters.get("capo.fret") * capo
                        + parameters.get("capo.high") * Math.max(0, capo - LOW_CAPO);
    }

    /** The part, without the prices of other grips. */
    @Override
    public SolvedPart sketch() {
        return part(kept(song), (layer, segment, chosen) -> Others.NONE);
    }

    /** The part, with the price of every other grip. */
    @Override
    public SolvedPart solve() {
        Kept kept = kept(song);
        Solution solution = kept.solution();
        List<Layer> all = closed(builder(kept.song(), PRICED_GRIPS, PRICED_GRIPS, true)
                .alike(kept.builder())
                .build());
        SongLattice.GripSurcharge usual = solution.usual().map(beside::and).orElse(beside);
        Route route = RouteSolver.solve(lattice(all, usual));
        double surcharge = route.total() - solution.total() - solution.paid();
        return part(
                kept,
                (layer, segment, chosen) ->
                        Others.of(all.get(layer), segment, chosen, route.prices()[layer], surcharge));
    }

    /** A song with those readings that can be played as they are called, and the route through it. */
    private record Kept(Song song, LayerBuilder builder, Solution solution) {}

    private Kept kept(Song of) {
        LayerBuilder builder = builder(of);
        Solution solution = solution(of, builder);
        Song left = of;
        for (Map.Entry<Integer, ReadingId> unkept : unkept(of, solution).entrySet()) {
            left = left.without(unkept.getKey(), unkept.getValue());
        }
        return left == of ? new Kept(of, builder, solution) : kept(left);
    }

    /** The best way to play a song: what cannot be bound within its texture is bound in grips of any kind. */
    private Solution solution(Song of, LayerBuilder builder) {
        Solution within = solution(builder);
        return builder.loosen(unkept(of, within)) ? solution(builder) : within;
    }

    private interface OthersOf {
        Others of(int layer, Segment segment, RatedGrip chosen);
    }

    /** Readings that no hand can play as they are called, by placement. */
    private static Map<Integer, ReadingId> unkept(Song of, Solution solution) {
        Map<Integer, ReadingId> unkept = solution.broken();
        for (Chart.Slot at : of.placements()) {
            of.readings(at).stream()
                    .filter(r -> (r.isBound() || r.overStill()) && !solution.plays(at.index()))
                    .forEach(r -> unkept.put(at.index(), r.id()));
        }
        return unkept;
    }

    /** What the whole part costs with each of some readings of a placement, as a sketch finds it; infinite where none can. */
    @Override
    public List<Double> totals(List<Song.Forced> readings) {
        List<Double> totals = new ArrayList<>();
        for (Song.Forced forced : readings) {
            totals.add(total(forced));
        }
        return totals;
    }

    private double total(Song.Forced forced) {
        Song of = song.with(forced);
        Solution solution = solution(of, builder(of));
        Set<Integer> broken = solution.broken().keySet();
        boolean isPlayed = forced.readings().keySet().stream().allMatch(solution::plays);
        if (!isPlayed
                || broken.stream()
                        .anyMatch(at -> forced.isAt(at)
                                || forced.isAt(of.placements().get(at).written()))) {
            return Double.POSITIVE_INFINITY;
        }
        return total(broken.isEmpty() ? solution : kept(of).solution());
    }

    private double total(Solution solution) {
        return solution.total() + capoPrice * solution.placementsPlayed();
    }

    private LayerBuilder builder(Song of) {
        return builder(of, FIRST_GRIPS, MOST_GRIPS, false);
    }

    private LayerBuilder builder(Song of, int firstWidth, int mostGrips, boolean inAllFingerings) {
        return new LayerBuilder(of, known, searches, timing, settings, firstWidth, mostGrips, inAllFingerings);
    }

    private SongLattice lattice(List<Layer> layers, SongLattice.GripSurcharge surcharge) {
        return new SongLattice(layers, known.prices(), timing, surcharge);
    }

    private static List<Layer> closed(List<Layer> layers) {
        return layers.stream().map(Layer::closed).toList();
    }

    /** The best route, and where chords have two grips in it, the best one that keeps to their usual ones. */
    private Solution solution(LayerBuilder builder) {
        Solution free = searched(builder, beside);
        Optional<UsualGrips> usual = UsualGrips.of(free.layers(), free.nodes(), settings.rung(), parameters);
        return usual.map(u -> searched(builder, beside.and(u)).keeping(u)).orElse(free);
    }

    private Solution searched(LayerBuilder builder, SongLattice.GripSurcharge surcharge) {
        List<Layer> layers = builder.build();
        Tied tied = tied(layers, builder, surcharge);
        double atLeast = tied.atLeast();
        long changes = Passages.of(layers);
        Set<WantedChord> further = searchedFurther(layers, tied);
        while (!further.isEmpty()) {
            long next = Passages.of(layers, further, LayerBuilder.WIDENING);
            boolean isWidened = changes + next <= MOST_CHANGES && builder.widen(further);
            if (!isWidened) {
                layers = closed(layers);
                tied = tied(layers, builder, surcharge);
                return new Solution(
                        layers,
                        tied.total(),
                        tied.nodes(),
                        Math.min(atLeast, tied.total()),
                        words(further),
                        Optional.empty());
            }
            changes += next;
            layers = builder.build();
            tied = tied(layers, builder, surcharge);
            atLeast = Math.max(atLeast, tied.atLeast());
            further = searchedFurther(layers, tied);
        }
        List<String> cut = tied.proven()
                ? List.of()
                : List.of("Not all ways to play repeated passages alike were compared: there are too many.");
        return new Solution(layers, tied.total(), tied.nodes(), Math.min(atLeast, tied.total()), cut, Optional.empty());
    }

    private List<String> words(Set<WantedChord> chords) {
        String names = chords.stream()
                .map(c -> c.chord().glyphs())
                .distinct()
                .limit(CHORDS_NAMED)
                .collect(Collectors.joining(", "));
        long count = chords.stream().map(WantedChord::chord).distinct().count();
        String more = count > CHORDS_NAMED ? " and " + (count - CHORDS_NAMED) + " more" : "";
        return List.of("Not all grips of " + names + more + " were compared, only the easiest of them.");
    }

    private Tied tied(List<Layer> layers, LayerBuilder builder, SongLattice.GripSurcharge surcharge) {
        return TiedRouteSolver.solve(lattice(layers, surcharge), builder.ties(), MOST_COMBINATIONS);
    }

    /** Chords of which the cheapest way would take a grip that was left out. */
    private static Set<WantedChord> searchedFurther(List<Layer> layers, Tied tied) {
        Set<WantedChord> chords = new LinkedHashSet<>();
        for (int layer = 0; layer < layers.size(); layer++) {
            Layer at = layers.get(layer);
            if (at.isLeftOut(tied.nodes()[layer])) {
                chords.add(at.block(tied.nodes()[layer]).wanted());
            }
        }
        return chords;
    }

    private SolvedPart part(Kept kept, OthersOf others) {
        Solution solution = kept.solution();
        List<PlacedGrip> placed = new ArrayList<>();
        int layer = 0;
        for (Chart.Slot at : song.placements()) {
            int first = layer;
            while (layer < solution.layers().size()
                    && solution.layers().get(layer).slot().index() == at.index()) {
                place(kept, layer, others, placed);
                layer++;
            }
            if (layer == first) {
                placed.add(unplayed(placed.size(), at));
            }
        }
        List<TimedChange> changes = timedChanges(placed);
        return new SolvedPart(
                capo,
                total(solution)
                        - changes.stream().mapToDouble(TimedChange::ofWishes).sum(),
                placed,
                changes,
                kept.builder().unkeptLocks(),
                kept.song().unkeptReadings(),
                solution.cut().isEmpty()
                        ? Optional.empty()
                        : Optional.of(new Budget(solution.cut(), solution.total() - solution.atLeast())),
                Optional.empty());
    }

    /** Adds the grip chosen in a layer, unless it is held on from the layer before. */
    private void place(Kept kept, int layer, OthersOf others, List<PlacedGrip> placed) {
        Layer at = kept.solution().layers().get(layer);
        int node = kept.solution().nodes()[layer];
        Block block = at.block(node);
        if (block.held()) {
            return;
        }
        Others other = others.of(layer, block.segment(), at.grip(node));
        placed.add(new PlacedGrip(
                placed.size(),
                at.slot(),
                block.segment(),
                kept.song()
                        .reading(at.slot().index(), block.segment().reading())
                        .filter(r -> !r.isOriginal()),
                song.harmony().function(at.slot().index()),
                Optional.of(song.played(at.slot(), block.segment().sounding(), capo)),
                Optional.of(song.degree(at.slot(), block.segment().sounding())),
                Optional.of(at.grip(node)),
                block.locked() > 0,
                other.fingerings(),
                other.shapes()));
    }

    /** A placement without a chord, or whose chord no hand can play. */
    private PlacedGrip unplayed(int index, Chart.Slot at) {
        double beat = at.placement().beat();
        double beats = at.placement().beats();
        Optional<ChordSymbol> chord = at.placement().chord();
        return new PlacedGrip(
                index,
                at,
                new Segment(ReadingId.ORIGINAL, 0, chord, beat, beats),
                Optional.empty(),
                song.harmony().function(at.index()),
                chord.map(c -> song.played(at, c, capo)),
                chord.map(c -> song.degree(at, c)),
                Optional.empty(),
                false,
                List.of(),
                List.of());
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

    private Motion motion(PlacedGrip before, PlacedGrip after) {
        return Motion.between(
                settings.textures().at(before.slot().index()).motion(),
                settings.textures().at(after.slot().index()).motion());
    }

    private TimedChange timedChange(PlacedGrip before, PlacedGrip after) {
        Grip left = before.grip().orElseThrow().grip();
        Grip reached = after.grip().orElseThrow().grip();
        Change change = known.changes().between(left, reached);
        double available = timing.secondsToLeave(
                before.slot(), before.segment(), before.grip().orElseThrow());
        Map<ChangeTerm, Double> more = known.voices().terms(left, reached, motion(before, after));
        double late = known.prices().late(change.neededSeconds(), available);
        if (late > 0) {
            more.put(ChangeTerm.LATE, late);
        }
        double ofWishes = more.entrySet().stream()
                .filter(term -> term.getKey().isWish())
                .mapToDouble(Map.Entry::getValue)
                .sum();
        double wishedTop = more.getOrDefault(ChangeTerm.WISHED_TOP, 0.0);
        more.keySet().removeIf(ChangeTerm::isWish);
        return new TimedChange(
                before.index(),
                after.index(),
                change,
                available,
                Collections.unmodifiableMap(more),
                ofWishes,
                wishedTop,
                known.voices().steps(left, reached));
    }
}
