package underhand.desk;

import java.util.Comparator;
import java.util.List;
import underhand.hand.FingeringSearch;
import underhand.hand.Grip;
import underhand.hand.HandEffort;
import underhand.hand.Parameters;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.neck.Fretboard;
import underhand.neck.Shape;
import underhand.repertoire.RatedGrip;
import underhand.repertoire.Repertoire;

/** The grips of a shape, whatever chord it is: every fingering a hand can hold, those players are taught first, then the easiest. */
final class ShapeGrips {

    private final FingeringSearch fingerings;
    private final HandEffort hand;
    private final Repertoire repertoire;

    ShapeGrips(Fretboard board, Player player) {
        this.fingerings = new FingeringSearch(board, Rung.of(Rung.HIGHEST), player);
        this.hand = new HandEffort(board, player, Parameters.STANDARD);
        this.repertoire = Repertoire.of(board.tuning());
    }

    /** What the hand does is all their effort: what the ear makes of it depends on a chord. */
    public List<RatedGrip> of(Shape shape) {
        return fingerings.fingerings(shape).stream()
                .map(g -> new RatedGrip(g, hand.of(g), Rung.HIGHEST, false))
                .filter(g -> g.effort().isPossible())
                .sorted(Comparator.comparing((RatedGrip g) -> !repertoire.isTaught(g.grip()))
                        .thenComparingDouble(g -> g.effort().total()))
                .toList();
    }

    /** Whether any hand of the player holds a shape. */
    public boolean canHold(Shape shape) {
        for (Grip grip : fingerings.fingerings(shape)) {
            if (hand.of(grip).isPossible()) {
                return true;
            }
        }
        return false;
    }
}
