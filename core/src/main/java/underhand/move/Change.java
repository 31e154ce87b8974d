package underhand.move;

import java.util.List;
import java.util.Map;
import java.util.Objects;

/**
 * A change from one grip to the next, in full.
 *
 * @param acts one per finger that presses before or after, by finger
 * @param terms effort by named terms, in units of one finger placed at ease; terms that are 0 are left out
 * @param neededSeconds time the hand needs
 */
public record Change(List<FingerAct> acts, Map<ChangeTerm, Double> terms, double neededSeconds) {

    public Change {
        acts = List.copyOf(acts);
        Objects.requireNonNull(terms, "terms");
    }

    public double effort() {
        return terms.values().stream().mapToDouble(Double::doubleValue).sum();
    }

    /** The longest way a finger goes, in mm. */
    public double widestMm() {
        return acts.stream().mapToDouble(FingerAct::distanceMm).max().orElse(0);
    }
}
