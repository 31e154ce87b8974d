package underhand.arrange;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import underhand.chart.Chart;
import underhand.hand.Parameters;
import underhand.input.RangeException;
import underhand.repertoire.Beginner;
import underhand.repertoire.KnownGrips;
import underhand.settings.ArrangementSettings;
import underhand.settings.FrettingHand;
import underhand.settings.HouseRule;
import underhand.solo.SoloSolver;
import underhand.solve.Companion;
import underhand.solve.GripStore;
import underhand.solve.PartSolver;
import underhand.solve.SolvedPart;
import underhand.solve.Solver;
import underhand.solve.Song;

/**
 * Turns a chart into an arrangement. The same inputs give the same arrangement, whatever its store knows.
 *
 * <p>Every capo position is solved exactly, in parallel; the one asked for, or the one with the least effort, becomes
 * the part. Of equal totals the lower fret wins.
 */
public final class Arranger {

    /** How long a song waits for another one that is solved with the same hand. */
    private static final long PATIENCE_MS = 100;

    private final Parameters parameters;
    private final GripStore store;
    private final Beginner beginner;

    public Arranger() {
        this(GripStore.NOTHING);
    }

    /** One that finds in a store what it searched for before. */
    public Arranger(GripStore store) {
        this(Parameters.STANDARD, store);
    }

    /** With other numbers than the shipped ones: for fitting and experiments. */
    public Arranger(Parameters parameters) {
        this(parameters, GripStore.NOTHING);
    }

    private Arranger(Parameters parameters, GripStore store) {
        this.parameters = Objects.requireNonNull(parameters, "parameters");
        this.store = Objects.requireNonNull(store, "store");
        this.beginner = new Beginner(parameters);
    }

    /**
     * Arranges a chart, without the prices of other grips: the capo asked for, or the one with the least effort.
     *
     * @throws IllegalArgumentException when the capo asked for does not fit the neck
     */
    public Arrangement arrange(Chart chart, ArrangementSettings settings) {
        return sweep(chart, settings).at(settings.capo());
    }

    /**
     * The same arrangement with the price of every other grip.
     *
     * @throws IllegalArgumentException when the capo asked for does not fit the neck
     */
    public Arrangement priced(Chart chart, ArrangementSettings settings) {
        return sweep(chart, settings).priced(settings.capo());
    }

    /** The song for every capo position; the capo of the settings only widens the range when it lies above it. */
    public Sweep sweep(Chart chart, ArrangementSettings settings) {
        return sweep(chart, settings, Optional.empty());
    }

    /**
     * A second guitar beside a first: its own player, capo and register, kept away from the first one's places and
     * pitches.
     *
     * @param first the first guitar's part of the same chart
     */
    public SecondPart second(Chart chart, Arrangement first, ArrangementSettings settings) {
        Companion companion = companion(first);
        Arrangement second = sweep(chart, settings, Optional.of(first)).at(settings.capo());
        return new SecondPart(second, companion.overlap(second.placements(), second.board()));
    }

    private Companion companion(Arrangement first) {
        return new Companion(first.placements(), first.board(), parameters);
    }

    /** @param first what another guitar plays at the same time */
    private Sweep sweep(Chart chart, ArrangementSettings settings, Optional<Arrangement> first) {
        Optional<Companion> companion = first.map(this::companion);
        int neckEnd = settings.guitar().frets() - 1;
        settings.capo().ifPresent(fret -> RangeException.check("capo", fret, 0, neckEnd));
        Song song = song(chart, settings);
        ArrangementSettings settled = TextureRanking.settled(song, settings, first);
        boolean mayHaveCapo = settings.houseRules().get(HouseRule.CAPO) && !(first.isPresent() && isHigherUp(settled));
        int highest = Math.max(
                mayHaveCapo ? Math.min(ArrangementSettings.HIGHEST_CAPO, neckEnd) : 0,
                settings.capo().orElse(0));
        return new Sweep(song, settled, parameters, highest, new Sweep.Solving() {

            @Override
            public SolvedPart sketch(ArrangementSettings with, int capo) {
                return solving(song, with, capo, companion, Solver::sketch);
            }

            @Override
            public SolvedPart priced(ArrangementSettings with, int capo) {
                return solving(song, with, capo, companion, Solver::solve);
            }

            @Override
            public List<TextureChoice> textures(ArrangementSettings with) {
                return TextureRanking.of(song, with, first);
            }

            @Override
            public List<Double> totals(ArrangementSettings with, int capo, List<Song.Forced> readings) {
                return solving(song, with, capo, companion, s -> s.totals(readings));
            }
        });
    }

    /** Whether a second guitar finds its register by its shapes, not by a capo. */
    private static boolean isHigherUp(ArrangementSettings settled) {
        return settled.textures()
                .everywhere()
                .filter(ask -> ask.texture().isClosed() || !ask.texture().isWhole())
                .isPresent();
    }

    /** The one measure for parts of different rungs. */
    Beginner beginner() {
        return beginner;
    }

    /** Solves one capo position alone: for a part whose capo is not in question. */
    SolvedPart solve(Chart chart, ArrangementSettings settings, int capo) {
        Song song = song(chart, settings);
        return solving(
                song, TextureRanking.settled(song, settings, Optional.empty()), capo, Optional.empty(), Solver::solve);
    }

    private Song song(Chart chart, ArrangementSettings settings) {
        return new Song(chart, store.harmony(chart), settings);
    }

    /**
     * Solves a song with what is known of its hand; where others work with that for long, with nothing known, which gives the
     * same later: nobody waits for a song that takes long.
     */
    private <T> T solving(
            Song song,
            ArrangementSettings settings,
            int capo,
            Optional<Companion> companion,
            Function<Solver, T> task) {
        FrettingHand asked = FrettingHand.of(settings, capo);
        KnownGrips kept = store.of(asked, hand -> new KnownGrips(hand, parameters));
        return kept.lock()
                .tryHolding(PATIENCE_MS, () -> {
                    T solved = task.apply(solver(song, settings, capo, kept, companion));
                    store.used(asked, kept);
                    return solved;
                })
                .orElseGet(
                        () -> task.apply(solver(song, settings, capo, new KnownGrips(asked, parameters), companion)));
    }

    /** Who has the tune plays it, whatever a guitar beside it does. */
    private Solver solver(
            Song song, ArrangementSettings settings, int capo, KnownGrips known, Optional<Companion> companion) {
        return SoloSolver.isAsked(song, settings)
                ? new SoloSolver(song, settings, capo, known, parameters)
                : new PartSolver(song, settings, capo, known, companion, parameters);
    }
}
