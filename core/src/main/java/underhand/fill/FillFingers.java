package underhand.fill;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import underhand.fill.Sketch.Moment;
import underhand.hand.FingeringSearch;
import underhand.hand.Grip;
import underhand.hand.HandEffort;
import underhand.move.ChangeModel;

/** Gives a fill the fingers that move least from the grip before it to the one after it. */
final class FillFingers {

    private final FingeringSearch search;
    private final HandEffort effort;
    private final ChangeModel changes;

    FillFingers(FingeringSearch search, HandEffort effort, ChangeModel changes) {
        this.search = search;
        this.effort = effort;
        this.changes = changes;
    }

    /**
     * The grips of a fill's moments.
     *
     * @param neededSeconds of the move with the least time to spare
     * @param availableSeconds for it
     */
    record Fingered(List<Grip> grips, double effort, double neededSeconds, double availableSeconds) {}

    /**
     * @param leave seconds between the last stroke before the fill and the fill
     * @return empty where a moment has no fingering a hand can hold
     */
    Optional<Fingered> of(Grip before, List<Moment> moments, Optional<Grip> after, double leave, double beatSeconds) {
        List<Grip> chosen = new ArrayList<>();
        Grip at = before;
        double total = 0;
        double tightest = Double.POSITIVE_INFINITY;
        double needed = 0;
        double available = leave;
        for (int i = 0; i <= moments.size(); i++) {
            Optional<Grip> next = i < moments.size() ? nearest(at, moments.get(i)) : after;
            if (next.isEmpty()) {
                if (i == moments.size()) {
                    break;
                }
                return Optional.empty();
            }
            double seconds = changes.neededSeconds(at, next.get());
            double time = i == 0 ? leave : moments.get(i - 1).beats() * beatSeconds;
            total += changes.effort(at, next.get());
            if (time - seconds < tightest) {
                tightest = time - seconds;
                needed = seconds;
                available = time;
            }
            if (i < moments.size()) {
                chosen.add(next.get());
            }
            at = next.get();
        }
        return Optional.of(new Fingered(chosen, total, needed, available));
    }

    /** The fingering of a moment that is nearest to where the hand is. */
    private Optional<Grip> nearest(Grip from, Moment moment) {
        Grip best = null;
        double least = Double.POSITIVE_INFINITY;
        for (Grip grip : search.fingerings(moment.shape())) {
            double cost = changes.effort(from, grip) + effort.of(grip).total() / 2;
            if (cost < least) {
                least = cost;
                best = grip;
            }
        }
        return Optional.ofNullable(best);
    }
}
