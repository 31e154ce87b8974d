package underhand.arrange;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.IntFunction;
import underhand.chart.Chart;

/**
 * A song solved for every capo position. The prices of all other grips are worked out for a position when it is first
 * looked at, and kept. Safe to share between threads.
 */
public final class Sweep {

    private final Song song;
    private final ArrangementSettings settings;
    private final List<SolvedPart> parts;
    private final List<CapoCandidate> candidates;
    private final IntFunction<SolvedPart> solver;
    private final Map<Integer, SolvedPart> solved = new ConcurrentHashMap<>();
    private final int least;

    /**
     * @param parts sketched parts, part i for the capo at fret i
     * @param solver solves the part for a capo in full
     */
    Sweep(Song song, ArrangementSettings settings, List<SolvedPart> parts, IntFunction<SolvedPart> solver) {
        this.song = song;
        this.settings = settings;
        this.parts = List.copyOf(parts);
        this.solver = solver;
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
        SolvedPart chosen = solved.computeIfAbsent(capo.orElse(least), solver::apply);
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
