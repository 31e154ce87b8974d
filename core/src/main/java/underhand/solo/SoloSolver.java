package underhand.solo;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Function;
import java.util.stream.IntStream;
import underhand.chart.Chart;
import underhand.chord.ChordSymbol;
import underhand.hand.Parameters;
import underhand.harmony.Reading;
import underhand.move.Change;
import underhand.move.ChangeTerm;
import underhand.neck.Shape;
import underhand.picking.PlayedPatterns;
import underhand.repertoire.KnownGrips;
import underhand.repertoire.RatedGrip;
import underhand.repertoire.WantedChord;
import underhand.route.Lattice;
import underhand.route.Route;
import underhand.route.RouteSolver;
import underhand.settings.ArrangementSettings;
import underhand.settings.FrettingHand;
import underhand.settings.SoloAsk;
import underhand.solve.PartSolver;
import underhand.solve.PlacedGrip;
import underhand.solve.PlacedGrip.Alternative;
import underhand.solve.Solo;
import underhand.solve.SolvedPart;
import underhand.solve.Solver;
import underhand.solve.Song;
import underhand.solve.TimedChange;

/**
 * Solves a song with its tune on top for one capo position: the cheapest way through the grips of all its moments, exactly. The
 * octave the tune lies best in is found by solving it in each.
 *
 * <p>Nobody else may use what is known of the hand while a song is solved with it.
 */
public final class SoloSolver implements Solver {

    /** Grips of a whole chord that are looked at where a section has no tune. */
    private static final int PLAIN_GRIPS = 40;

    private final Song song;
    private final ArrangementSettings settings;
    private final int capo;
    private final KnownGrips known;
    private final KnownGrips.Search searches;
    private final Manner manner;
    private final SoloGrips grips;
    private final SoloTiming timing;
    private final PlayedPatterns patterns;
    private final Parameters parameters;

    public SoloSolver(Song song, ArrangementSettings settings, int capo, KnownGrips known, Parameters parameters) {
        this.song = song;
        this.settings = settings;
        this.capo = capo;
        this.known = known;
        this.searches = known.new Search();
        this.manner =
                Manner.of(settings.rung(), settings.solo().orElse(SoloAsk.OPEN).under());
        int moments = Moments.of(song, 0, manner.hasBasses()).moments().size();
        this.grips = new SoloGrips(
                FrettingHand.of(settings, capo), manner, song.harmony().key(), moments, parameters);
        this.patterns = new PlayedPatterns(settings.patterns(), settings.rung(), song.tempo());
        this.timing = new SoloTiming(manner, patterns, known.board(), song.tempo());
        this.parameters = parameters;
    }

    /** Whether a song is to be played with its tune, and has one. */
    public static boolean isAsked(Song song, ArrangementSettings settings) {
        return settings.solo().isPresent()
                && song.placements().stream()
                        .anyMatch(slot -> !slot.placement().tune().isEmpty());
    }

    /** A song with the tune in one octave, solved. */
    private record Solved(int octave, Moments moments, SoloGrip[][] layers, Route route, List<Integer> unkeptLocks) {

        List<Moment> all() {
            return moments.moments();
        }

        SoloGrip grip(int layer) {
            return layers[layer][route.nodes()[layer]];
        }

        SoloGrip[] played() {
            return IntStream.range(0, layers.length).mapToObj(this::grip).toArray(SoloGrip[]::new);
        }
    }

    @Override
    public SolvedPart sketch() {
        return part(solved(RouteSolver::sketch));
    }

    @Override
    public SolvedPart solve() {
        Solved cheapest = solved(RouteSolver::sketch);
        return part(solved(cheapest.octave(), RouteSolver::solve));
    }

    @Override
    public List<Double> totals(List<Song.Forced> readings) {
        return readings.stream()
                .map(forced -> total(new SoloSolver(song.with(forced), settings, capo, known, parameters)
                        .solved(RouteSolver::sketch)))
                .toList();
    }

    private Solved solved(Function<Lattice, Route> way) {
        return octaves()
                .mapToObj(octave -> solved(octave, way))
                .min(Comparator.comparingDouble(s -> s.route().total()))
                .orElseThrow();
    }

    /** The octaves in which the tune may lie best: those on the neck, with not much more of it off the high strings than need be. */
    private IntStream octaves() {
        OptionalInt asked = settings.solo()
                .flatMap(ask -> ask.octave().stream().boxed().findFirst())
                .map(OptionalInt::of)
                .orElse(OptionalInt.empty());
        if (asked.isPresent()) {
            return IntStream.of(asked.getAsInt());
        }
        int most = SoloAsk.MOST_OCTAVES;
        double least = IntStream.rangeClosed(-most, most)
                .mapToDouble(this::misfit)
                .min()
                .orElseThrow();
        return IntStream.rangeClosed(-most, most).filter(octave -> misfit(octave) <= least + manner.slack());
    }

    /** Share of the tune that lies off the highest strings, or past the frets of the rung; a note off the neck counts as all of it. */
    private double misfit(int octave) {
        List<Sung> tune = Moments.of(song, octave, false).tune();
        int lowest = known.board().midi(known.board().strings() - manner.singing(), 0);
        int highest = known.board().midi(known.board().strings() - 1, 0) + manner.highestFret(settings.rung());
        long off = tune.stream()
                .filter(n -> n.midi() < lowest || n.midi() > highest)
                .count();
        long missing = tune.stream().filter(n -> !grips.hasNote(n.midi())).count();
        return missing + off / (double) Math.max(1, tune.size());
    }

    private Solved solved(int octave, Function<Lattice, Route> way) {
        Moments moments = Moments.of(song, octave, manner.hasBasses());
        SoloLayers builder = new SoloLayers(grips, known.board(), settings, this::plain);
        SoloGrip[][] layers = builder.of(moments.moments());
        SoloLattice lattice =
                new SoloLattice(moments.moments(), layers, known.changes(), known.board(), timing, manner, parameters);
        return new Solved(octave, moments, layers, way.apply(lattice), builder.unkeptLocks());
    }

    private List<SoloGrip> plain(Moment moment) {
        Optional<ChordSymbol> chord = moment.segment().chord();
        if (chord.isEmpty()) {
            return List.of();
        }
        Reading.Step step = step(moment);
        boolean picked = !patterns.pattern(moment.slot()).isStrummed();
        WantedChord wanted = new WantedChord(
                step.chord(),
                step.form(),
                picked,
                settings.textures().at(moment.slot().index()));
        return searches.cheapest(wanted, 1, PLAIN_GRIPS, false).grips().stream()
                .map(SoloGrips::plain)
                .toList();
    }

    private Reading.Step step(Moment moment) {
        Reading reading = song.readings(moment.slot()).get(0);
        return reading.steps().get(moment.segment().part());
    }

    private double total(Solved solved) {
        long chords = song.placements().stream()
                .filter(s -> s.placement().chord().isPresent())
                .count();
        return solved.route().total() + PartSolver.capoPrice(song, capo, parameters) * chords;
    }

    private SolvedPart part(Solved solved) {
        List<PlacedGrip> placed = placed(solved);
        List<TimedChange> changes = changes(solved, placed);
        Solo solo = new SoloWriter(solved.all(), solved.played(), known.board(), timing)
                .write(solved.octave(), solved.moments().tune(), grips.isNarrowed(), fastestTempo(solved));
        return new SolvedPart(
                capo,
                total(solved),
                placed,
                changes,
                solved.unkeptLocks(),
                song.unkeptReadings(),
                Optional.empty(),
                Optional.of(solo));
    }

    private List<PlacedGrip> placed(Solved solved) {
        List<PlacedGrip> placed = new ArrayList<>();
        for (int i = 0; i < solved.all().size(); i++) {
            Moment moment = solved.all().get(i);
            if (moment.begins()) {
                placed.add(placed(solved, i, moment));
            }
        }
        return placed;
    }

    private PlacedGrip placed(Solved solved, int layer, Moment moment) {
        Chart.Slot slot = moment.slot();
        SoloGrip played = solved.grip(layer);
        Optional<ChordSymbol> chord = moment.segment().chord();
        boolean isHeld = played.grip().shape().sounding() > 0 && chord.isPresent();
        return new PlacedGrip(
                moment.place(),
                slot,
                moment.segment(),
                song.reading(slot.index(), moment.segment().reading()).filter(r -> !r.isOriginal()),
                song.harmony().function(slot.index()),
                chord.map(c -> song.played(slot, c, capo)),
                chord.map(c -> song.degree(slot, c)),
                isHeld ? Optional.of(rated(played)) : Optional.empty(),
                isLocked(slot, moment) && !solved.unkeptLocks().contains(slot.index()),
                others(solved, layer, played, true),
                others(solved, layer, played, false));
    }

    private boolean isLocked(Chart.Slot slot, Moment moment) {
        return settings.locks().stream()
                .anyMatch(l -> l.placement() == slot.index()
                        && l.part() == moment.segment().part());
    }

    private RatedGrip rated(SoloGrip grip) {
        return new RatedGrip(grip.grip(), grip.effort(), settings.rung().level(), false);
    }

    /** Other grips of a layer by their prices, the cheapest first: of the shape that is played, or of other shapes. */
    private List<Alternative> others(Solved solved, int layer, SoloGrip played, boolean sameShape) {
        if (solved.route().prices().length == 0) {
            return List.of();
        }
        Map<Object, Alternative> best = new LinkedHashMap<>();
        for (int node = 0; node < solved.layers()[layer].length; node++) {
            SoloGrip grip = solved.layers()[layer][node];
            Shape shape = grip.grip().shape();
            boolean isSame = shape.equals(played.grip().shape());
            if (shape.sounding() > 0 && isSame == sameShape && !grip.grip().equals(played.grip())) {
                Alternative other = new Alternative(rated(grip), solved.route().prices()[layer][node]);
                best.merge(sameShape ? grip.grip() : shape, other, (a, b) -> b.price() < a.price() ? b : a);
            }
        }
        return best.values().stream()
                .sorted(Comparator.comparingDouble(Alternative::price))
                .toList();
    }

    /** The changes to the chords of the part, each from what is held just before. */
    private List<TimedChange> changes(Solved solved, List<PlacedGrip> placed) {
        List<TimedChange> changes = new ArrayList<>();
        int before = -1;
        for (int i = 0; i < solved.all().size(); i++) {
            Moment moment = solved.all().get(i);
            if (moment.begins() && placed.get(moment.place()).grip().isPresent()) {
                if (before >= 0) {
                    changes.add(change(solved, i, before));
                }
                before = moment.place();
            }
        }
        return changes;
    }

    private TimedChange change(Solved solved, int layer, int before) {
        SoloGrip left = solved.grip(layer - 1);
        SoloGrip reached = solved.grip(layer);
        Change change = known.changes().between(left.grip(), reached.grip());
        double available = timing.secondsToLeave(solved.all().get(layer - 1), left);
        double late = known.prices().late(change.neededSeconds(), available);
        return new TimedChange(
                before,
                solved.all().get(layer).place(),
                change,
                available,
                late > 0 ? Map.of(ChangeTerm.LATE, late) : Map.of(),
                0,
                0,
                known.voices().steps(left.grip(), reached.grip()));
    }

    private int fastestTempo(Solved solved) {
        double fastest = Chart.HIGHEST_TEMPO;
        for (int i = 1; i < solved.layers().length; i++) {
            double needed = known.changes()
                    .neededSeconds(solved.grip(i - 1).grip(), solved.grip(i).grip());
            double available = timing.secondsToLeave(solved.all().get(i - 1), solved.grip(i - 1));
            fastest = needed > 0 ? Math.min(fastest, song.tempo() * available / needed) : fastest;
        }
        return (int) Math.floor(fastest);
    }
}
