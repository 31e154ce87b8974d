package underhand.arrange;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.IntFunction;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import underhand.chart.Chart;
import underhand.hand.Parameters;
import underhand.harmony.HarmonyReader;
import underhand.harmony.Reading;
import underhand.harmony.RuleCatalogue;
import underhand.neck.Fretboard;
import underhand.repertoire.SharedLock;
import underhand.settings.ArrangementSettings;
import underhand.solve.SolvedPart;
import underhand.solve.Song;
import underhand.work.Work;

/**
 * A song solved for the capo positions that were asked for, or for all. What was solved is kept, and so are the prices of
 * all other grips for a position that was looked at. Safe to share between threads.
 */
public final class Sweep {

    private static final double NO_DIFFERENCE = 1e-6;

    private final Song song;
    private final ArrangementSettings settings;
    private final Parameters parameters;
    private final List<Once<SolvedPart>> parts;
    private final List<Once<SolvedPart>> priced;
    private final Once<Ruler> ruler = new Once<>(this::compared);
    private final ReadingPrices forcing;

    /** All capo positions compared. */
    private record Ruler(List<CapoCandidate> candidates, int least) {}

    /** A value that is worked out when it is first asked for. */
    private static final class Once<T> {
        private final Supplier<T> source;
        private final SharedLock lock = new SharedLock();
        private volatile T value;

        Once(Supplier<T> source) {
            this.source = source;
        }

        boolean isKnown() {
            return value != null;
        }

        T get() {
            if (value == null) {
                lock.holding(() -> {
                    value = value == null ? source.get() : value;
                    return value;
                });
            }
            return value;
        }
    }

    /**
     * @param highestCapo highest capo position to be tried
     * @param sketcher solves the part for a capo without the prices of other grips
     * @param solver solves it with them
     * @param forcing prices readings
     */
    Sweep(
            Song song,
            ArrangementSettings settings,
            Parameters parameters,
            int highestCapo,
            IntFunction<SolvedPart> sketcher,
            IntFunction<SolvedPart> solver,
            ReadingPrices forcing) {
        this.song = song;
        this.settings = settings;
        this.parameters = parameters;
        this.forcing = forcing;
        this.parts = byCapo(highestCapo, sketcher);
        this.priced = byCapo(highestCapo, solver);
    }

    private static List<Once<SolvedPart>> byCapo(int highest, IntFunction<SolvedPart> source) {
        return IntStream.rangeClosed(0, highest)
                .mapToObj(capo -> new Once<>(() -> source.apply(capo)))
                .toList();
    }

    private Ruler compared() {
        Work work = Work.current();
        List<CapoCandidate> candidates = IntStream.rangeClosed(0, highestCapo())
                .parallel()
                .mapToObj(capo ->
                        work.doing(() -> CapoReasons.candidate(parts.get(capo).get())))
                .toList();
        List<CapoCandidate> tried = candidates.stream()
                .filter(c -> c.capo() <= ArrangementSettings.HIGHEST_CAPO)
                .toList();
        double least = tried.stream().mapToDouble(CapoCandidate::total).min().orElseThrow();
        int best = tried.stream()
                .filter(c -> c.total() <= least * (1 + parameters.get("capo.gain")))
                .findFirst()
                .orElseThrow()
                .capo();
        return new Ruler(candidates, best);
    }

    /** Placements of the song. */
    public int placements() {
        return song.placements().size();
    }

    /** Highest capo position that is tried. */
    public int highestCapo() {
        return parts.size() - 1;
    }

    /** The capo asked for in the settings, or the one with the least effort. */
    CapoCandidate best() {
        return ruler.get()
                .candidates()
                .get(settings.capo().orElseGet(() -> ruler.get().least()));
    }

    /** The arrangement with the capo at a fret, or where the effort is least; without the prices of other grips. */
    public Arrangement at(OptionalInt capo) {
        return arrangement(parts.get(fret(capo)).get(), ruler.get(), true);
    }

    /** The same with the prices of other grips, which are worked out when they are first asked for. */
    public Arrangement priced(OptionalInt capo) {
        return arrangement(priced.get(fret(capo)).get(), ruler.get(), true);
    }

    /** The arrangement with the capo at a fret, compared with the other frets only if they were solved before. */
    public Arrangement alone(int capo) {
        if (ruler.isKnown()) {
            return at(OptionalInt.of(capo));
        }
        SolvedPart part = parts.get(capo).get();
        return arrangement(part, new Ruler(List.of(CapoReasons.candidate(part)), capo), false);
    }

    private int fret(OptionalInt capo) {
        return capo.orElseGet(() -> ruler.get().least());
    }

    private Arrangement arrangement(SolvedPart chosen, Ruler tried, boolean swept) {
        return new Arrangement(
                settings,
                new Fretboard(settings.guitar(), settings.tuning(), chosen.capo()),
                parameters,
                song.key(),
                song.harmony().sections(),
                song.tempo(),
                chosen.capo(),
                tried.least(),
                tried.candidates(),
                swept,
                chosen.placements(),
                chosen.changes(),
                chosen.total(),
                fastestTempo(chosen),
                Warnings.of(chosen, settings.rung()),
                chosen.budget());
    }

    /** What the rules say to a placement, without prices; empty where it has no chord. */
    public Optional<RuleCatalogue.Judgement> judgement(int placement) {
        return song.harmony().spot(placement).map(spot -> RuleCatalogue.judge(spot, song.preferences()));
    }

    /**
     * Every reading of a placement with its price, the cheapest first.
     *
     * @param capo fret of the capo, or where the effort is least
     */
    public List<ReadingOffer> readings(OptionalInt capo, int placement) {
        int at = fret(capo);
        List<Reading> proposed =
                judgement(placement).map(RuleCatalogue.Judgement::readings).orElse(List.of());
        List<Double> totals = forcing.totals(
                at, proposed.stream().map(r -> new Song.Forced(placement, r)).toList());
        List<ReadingOffer> offers = new ArrayList<>();
        for (int i = 0; i < proposed.size(); i++) {
            Reading reading = proposed.get(i);
            double price = totals.get(i) - parts.get(at).get().total();
            if (!changesNothing(reading, placement, price)) {
                offers.add(
                        new ReadingOffer(reading, RuleCatalogue.of(reading.id().rule()), price));
            }
        }
        offers.sort(Comparator.comparingDouble(ReadingOffer::price));
        return offers;
    }

    /** Whether a form of the chart's own chord is what is played anyway. */
    private boolean changesNothing(Reading reading, int placement, double price) {
        boolean sameChord = reading.steps().size() == 1
                && song.placements().get(placement).placement().chord().stream()
                        .anyMatch(c -> c.equals(reading.steps().get(0).chord()));
        return sameChord && Math.abs(price) < NO_DIFFERENCE;
    }

    /** What the part for a capo costs with each of some readings forced. */
    interface ReadingPrices {
        List<Double> totals(int capo, List<Song.Forced> readings);
    }

    /** Keys of the song's sections. */
    public HarmonyReader harmony() {
        return song.harmony();
    }

    private int fastestTempo(SolvedPart part) {
        return part.changes().stream()
                .mapToInt(change -> change.fastestTempo(song.tempo()))
                .min()
                .orElse(Chart.HIGHEST_TEMPO);
    }
}
