package underhand.arrange;

import java.util.Comparator;
import java.util.List;
import java.util.OptionalInt;
import underhand.chart.Chart;

/** A song solved for every capo position, so that moving the capo costs nothing. Immutable. */
public final class Sweep {

    private final Song song;
    private final ArrangementSettings settings;
    private final List<SolvedPart> parts;
    private final List<CapoCandidate> candidates;
    private final int least;

    /** @param parts solved parts, part i for the capo at fret i */
    Sweep(Song song, ArrangementSettings settings, List<SolvedPart> parts) {
        this.song = song;
        this.settings = settings;
        this.parts = List.copyOf(parts);
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

    /** The arrangement with the capo at a fret, or where the effort is least. */
    public Arrangement at(OptionalInt capo) {
        SolvedPart chosen = parts.get(capo.orElse(least));
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
