package underhand.arrange;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import underhand.chart.Chart;
import underhand.neck.Tuning;
import underhand.settings.ArrangementSettings;

/** A song in every tuning a player accepts, each with its least-effort capo. */
public final class TuningSweep {

    private static final int CENTS = 100;

    /**
     * The song in one tuning.
     *
     * @param capo the best capo position there
     * @param retuned strings that are turned, the lowest first
     */
    public record Option(Tuning tuning, CapoCandidate capo, List<Retuned> retuned) {

        public Option {
            retuned = List.copyOf(retuned);
        }

        /** Whether a string is tuned higher than it is now: it may break, and pulls more at the neck. */
        public boolean raises() {
            return retuned.stream().anyMatch(r -> r.cents() > 0);
        }
    }

    /**
     * A string that is turned.
     *
     * @param string from the lowest as 0
     * @param cents higher than now; lower where below 0
     */
    public record Retuned(int string, int cents) {}

    private TuningSweep() {}

    /**
     * The tunings, least effort first; of equal effort those for which fewer strings are turned.
     *
     * @param settings grips kept in the tuning now are left out: they would be other chords
     * @param tunings with as many strings as the guitar has now
     */
    public static List<Option> of(Arranger arranger, Chart chart, ArrangementSettings settings, List<Tuning> tunings) {
        ArrangementSettings open = settings.withCapoOpen().withLocks(List.of());
        List<Option> options = new ArrayList<>();
        for (Tuning tuning : tunings) {
            CapoCandidate best = arranger.sweep(chart, open.withTuning(tuning)).best();
            options.add(new Option(tuning, best, retuned(settings.tuning(), tuning)));
        }
        options.sort(Comparator.comparingInt((Option o) -> o.capo().beyond())
                .thenComparingDouble(o -> o.capo().total())
                .thenComparingInt(o -> o.retuned().size()));
        return options;
    }

    private static List<Retuned> retuned(Tuning now, Tuning then) {
        List<Retuned> strings = new ArrayList<>();
        for (int string = 0; string < then.size(); string++) {
            int higher = then.midi(string, 0, 0) - now.midi(string, 0, 0);
            if (higher != 0) {
                strings.add(new Retuned(string, CENTS * higher));
            }
        }
        return strings;
    }
}
