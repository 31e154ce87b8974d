package underhand.solo;

import underhand.hand.Effort;
import underhand.hand.EffortTerm;
import underhand.hand.Grip;
import underhand.hand.HandEffort;
import underhand.hand.Parameters;
import underhand.neck.Fretboard;
import underhand.neck.Shape;
import underhand.repertoire.TaughtParts;
import underhand.settings.FrettingHand;

/** What the grips of a solo cost: the hand's effort, frets past the rung's, shapes nobody is taught, and what the ear says. */
final class SoloEfforts {

    private final HandEffort hand;
    private final int highestFret;
    private final boolean isOpen;
    private final TaughtParts taught;
    private final double beyond;
    private final double untaught;
    private final double added;

    SoloEfforts(FrettingHand hand, Fretboard board, Manner manner, Parameters parameters) {
        this.hand = new HandEffort(board, hand.player(), parameters);
        this.highestFret = Math.min(manner.highestFret(hand.rung()), board.frets());
        this.isOpen = manner.isOpen();
        this.taught = new TaughtParts(board.tuning());
        this.beyond = parameters.get("habit.beyond");
        this.untaught = parameters.get("solo.untaught");
        this.added = parameters.get("solo.added");
    }

    /** Highest fret above the capo that the rung's chords go to. */
    int highestFret() {
        return highestFret;
    }

    /** No fingering of a shape costs the hand less. */
    double atLeast(Shape shape) {
        return hand.atLeast(shape);
    }

    /** @param sound what the ear makes of it */
    Effort of(Grip grip, double sound) {
        return new Effort.Builder()
                .addAll(hand.of(grip))
                .add(EffortTerm.BEYOND, grip.shape().highestFret() > highestFret ? beyond : 0)
                .add(EffortTerm.UNDER_TUNE, sound)
                .build();
    }

    /** The same for a chord that is gripped as one: shapes that are part of a taught one come by themselves. */
    Effort ofChord(Grip grip, int top, double sound) {
        return with(of(grip, sound), EffortTerm.NEW_SHAPE, untaught(grip.shape(), top));
    }

    private double untaught(Shape shape, int top) {
        // A note over open strings is no shape to learn.
        if (isOpen || taught.contain(shape, SoloGrip.NONE)) {
            return 0;
        }
        return taught.contain(shape, top) ? added : untaught;
    }

    /** What a grip costs more than the chord it came from. */
    Effort more(Effort all, Effort chord, double sound) {
        double ofHand = chord.total() - chord.of(EffortTerm.UNDER_TUNE);
        return new Effort.Builder()
                .add(EffortTerm.FINGERS, Math.max(0, all.total() - ofHand))
                .add(EffortTerm.UNDER_TUNE, sound)
                .build();
    }

    static Effort sounding(double sound) {
        return new Effort.Builder().add(EffortTerm.UNDER_TUNE, sound).build();
    }

    static Effort with(Effort effort, EffortTerm term, double value) {
        return new Effort.Builder().addAll(effort).add(term, value).build();
    }
}
