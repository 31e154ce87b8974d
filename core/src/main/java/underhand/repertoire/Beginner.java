package underhand.repertoire;

import underhand.hand.EffortTerm;
import underhand.hand.Grip;
import underhand.hand.Hold;
import underhand.hand.Parameters;
import underhand.hand.Rung;
import underhand.neck.Tuning;

/** Measures grips of any rung by one measure: what they would ask of somebody on the first. */
public final class Beginner {

    private static final Rung RUNG = Rung.of(Rung.LOWEST);

    private final double newShape;
    private final double strange;
    private final double beyond;

    /** @param parameters those of habit are used */
    public Beginner(Parameters parameters) {
        newShape = parameters.get("habit.new." + Rung.LOWEST);
        strange = parameters.get("habit.strange");
        beyond = parameters.get("habit.beyond");
    }

    /**
     * The hand's terms, learning the shape, and each rung the grip needs beyond the first.
     *
     * @param occurrences how often the song has the shape: it is learnt once
     */
    public double effort(RatedGrip rated, Tuning tuning, int occurrences) {
        double sum = 0;
        for (EffortTerm term : EffortTerm.values()) {
            sum += term.group() == EffortTerm.Group.HAND ? rated.effort().of(term) : 0;
        }
        Grip grip = rated.grip();
        sum += Repertoire.of(tuning).isTaughtTo(RUNG, grip.shape()) ? 0 : newShape * (1.0 / occurrences + strange);
        return sum + beyond * (needed(grip) - Rung.LOWEST);
    }

    /** The lowest rung whose limits a grip keeps. */
    static int needed(Grip grip) {
        int barre = grip.barres().stream().mapToInt(Hold::strings).max().orElse(0);
        int fingers = (int)
                grip.holds().stream().filter(h -> h.finger() != Grip.THUMB).count();
        return Rung.all().stream()
                .filter(r -> fingers <= r.mostFingers()
                        && barre <= r.longestBarre()
                        && grip.shape().highestFret() <= r.highestFret())
                .mapToInt(Rung::level)
                .findFirst()
                .orElse(Rung.HIGHEST);
    }
}
