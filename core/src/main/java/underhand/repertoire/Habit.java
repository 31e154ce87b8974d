package underhand.repertoire;

import java.util.List;
import java.util.stream.Stream;
import underhand.hand.Grip;
import underhand.hand.Parameters;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.neck.Shape;
import underhand.neck.ToneDemand;
import underhand.neck.Tuning;

/** What a shape, or other fingers for it, costs a player who has not learnt it. */
final class Habit {

    /** A fingering this much dearer than the easiest of its shape is not the one a player has learnt. */
    private static final double CLEARLY_HARDER = 0.04;

    private final Repertoire repertoire;
    private final Rung rung;
    private final Player player;
    private final double newShape;
    private final double strange;
    private final double untaught;
    private final double otherFingers;

    /**
     * @param tuning what is taught depends on it
     * @param inTexture whether grips of a kind were asked for: then those that are taught come first
     */
    Habit(Rung rung, Player player, Tuning tuning, boolean inTexture, Parameters parameters) {
        this.repertoire = Repertoire.of(tuning);
        this.rung = rung;
        this.player = player;
        this.newShape = parameters.get("habit.new." + rung.level());
        this.strange = parameters.get("habit.strange");
        double more = inTexture ? parameters.get("texture.untaught") : 0;
        this.untaught = parameters.get("habit.untaught") + more;
        this.otherFingers = parameters.get("habit.fingers." + rung.level());
    }

    /** Whether the player does not have the shape yet. */
    boolean isNew(Shape shape) {
        return !repertoire.isTaughtTo(rung, shape) && !player.shapes().contains(shape);
    }

    /** @param occurrences how often the song has the chord: a new shape is learnt once */
    double ofShape(Shape shape, boolean isNew, int occurrences) {
        boolean isStrange = isNew && !repertoire.isTaught(shape);
        return (isNew ? newShape * (1.0 / occurrences + strange) : 0) + (isStrange ? untaught : 0);
    }

    /** What a shape costs that neither the player has nor anybody is taught. */
    double ofUnknown(int occurrences) {
        return newShape * (1.0 / occurrences + strange) + untaught;
    }

    /** Those that the player has or somebody is taught, wherever they lie on a neck; they may sound some tones, or are the player's. */
    List<Shape> known(ToneDemand demand, int capo) {
        List<Shape> own = player.shapes().stream()
                .filter(shape -> !repertoire.isTaught(shape))
                .toList();
        return Stream.concat(repertoire.sounding(demand, capo).stream(), own.stream())
                .toList();
    }

    /** Whether these are fingers the shape is taught with. */
    boolean isTaught(Grip grip) {
        return repertoire.isTaught(grip);
    }

    /**
     * Fingers nobody is taught are no easier than those everybody is; untaught shapes are learnt with the easiest.
     *
     * @param harder how much dearer they are than the usual ones of the shape
     */
    double ofFingers(boolean isTaught, boolean usualIsTaught, double harder) {
        if (usualIsTaught) {
            return isTaught ? 0 : otherFingers + Math.max(0, -harder);
        }
        return otherFingers * Math.min(1, harder / CLEARLY_HARDER);
    }
}
