package underhand.arrange;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.IntFunction;
import underhand.chart.Chart;
import underhand.harmony.HarmonyReader;
import underhand.harmony.Reading;
import underhand.harmony.Rules;

/**
 * A song solved for every capo position. The prices of all other grips are worked out for a position when it is first
 * looked at, and kept. Safe to share between threads.
 */
public final class Sweep {

    private static final double NO_DIFFERENCE = 1e-6;

    private final Song song;
    private final ArrangementSettings settings;
    private final List<SolvedPart> parts;
    private final List<CapoCandidate> candidates;
    private final IntFunction<SolvedPart> solver;
    private final Forcing forcing;
    private final Map<Integer, SolvedPart> solved = new ConcurrentHashMap<>();
    private final int least;

    /**
     * @param parts sketched parts, part i for the capo at fret i
     * @param solver solves the part for a capo in full
     * @param forcing prices readings
     */
    Sweep(
            Song song,
            ArrangementSettings settings,
            List<SolvedPart> parts,
            IntFunction<SolvedPart> solver,
            Forcing forcing) {
        this.song = song;
        this.settings = settings;
        this.parts = List.copyOf(parts);
        this.solver = solver;
        this.forcing = forcing;
        this.candidates = parts.stream().map(CapoReasons::candidate).toList();
        this.least = parts.stream()
                .filter(p -> p.capo() <= ArrangementSettings.HIGHEST_CAPO)
                .min(Comparator.comparingDouble(SolvedPart::total))
                .orElseThrow()
                .capo();
    }

    /** Highest capo position that was solved. */
    public int highestCapo() {
        return parts.size() - 1;
    }

    /** The capo asked for in the settings, or the one with the least effort. */
    CapoCandidate best() {
        return candidates.get(settings.capo().orElse(least));
    }

    /** The arrangement with the capo at a fret, or where the effort is least. */
    public Arrangement at(OptionalInt capo) {
        return arrangement(solved.computeIfAbsent(capo.orElse(least), solver::apply));
    }

    /** The same part without the prices of other grips, at no further search. */
    Arrangement sketch(OptionalInt capo) {
        return arrangement(parts.get(capo.orElse(least)));
    }

    private Arrangement arrangement(SolvedPart chosen) {
        return new Arrangement(
                song.key(),
                song.tempo(),
                chosen.capo(),
                least,
                candidates,
                chosen.placements(),
                chosen.changes(),
                chosen.total(),
                fastestTempo(chosen),
                Warnings.of(chosen, settings.rung()));
    }

    /** What the rules say to a placement, without prices; empty where it has no chord. */
    public Optional<Rules.Judgement> judgement(int placement) {
        return song.harmony().spot(placement).map(spot -> Rules.judge(spot, song.stance()));
    }

    /**
     * Every reading of a placement with its price, the cheapest first.
     *
     * @param capo fret of the capo, or where the effort is least
     */
    public List<ReadingOffer> readings(OptionalInt capo, int placement) {
        int at = capo.orElse(least);
        List<Reading> proposed =
                judgement(placement).map(Rules.Judgement::readings).orElse(List.of());
        List<Double> totals = forcing.totals(
                at, proposed.stream().map(r -> new Song.Forced(placement, r)).toList());
        List<ReadingOffer> offers = new ArrayList<>();
        for (int i = 0; i < proposed.size(); i++) {
            Reading reading = proposed.get(i);
            double price = totals.get(i) - parts.get(at).total();
            if (!changesNothing(reading, placement, price)) {
                offers.add(new ReadingOffer(reading, Rules.of(reading.family()), price));
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
    interface Forcing {
        List<Double> totals(int capo, List<Song.Forced> readings);
    }

    /** Keys of the song's sections. */
    public HarmonyReader harmony() {
        return song.harmony();
    }

    private int fastestTempo(SolvedPart part) {
        double slowest = part.changes().stream()
                .filter(c -> c.change().neededSeconds() > 0)
                .mapToDouble(
                        c -> song.tempo() * c.availableSeconds() / c.change().neededSeconds())
                .min()
                .orElse(Chart.HIGHEST_TEMPO);
        return (int) Math.min(Chart.HIGHEST_TEMPO, Math.floor(slowest));
    }
}
