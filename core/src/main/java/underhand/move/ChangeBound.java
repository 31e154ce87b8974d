package underhand.move;

import underhand.hand.Grip;
import underhand.hand.Hold;
import underhand.hand.Parameters;
import underhand.neck.Fretboard;

/**
 * What changes of grip cost at least, told from the frets alone: a search that asks it first need not price most changes.
 *
 * <p>Strings are not looked at, so a finger that keeps its fret is taken to stay, and one that moves slides or travels,
 * whichever costs less. Immutable; safe to share between threads.
 */
public final class ChangeBound {

    private static final int BITS = 8;
    private static final int MASK = (1 << BITS) - 1;

    /** Added to the hand's fret, which may lie below the first. */
    private static final int BELOW = Grip.THUMB;

    /** Effort of one finger's way, by fret before and after; fret 0 for a finger that does not press. */
    private final double[][] finger;

    /** Where the hand is in mm times what a mm of its way costs, by its fret and {@link #BELOW}. */
    private final double[] hand;

    private final double block;

    public ChangeBound(Fretboard board, Parameters p) {
        block = p.get("change.block");
        finger = new double[board.frets() + 1][board.frets() + 1];
        for (int before = 0; before <= board.frets(); before++) {
            for (int after = 0; after <= board.frets(); after++) {
                finger[before][after] = finger(board, p, before, after);
            }
        }
        hand = new double[BELOW + board.frets() + 1];
        for (int fret = 0; fret < hand.length; fret++) {
            hand[fret] = p.get("change.shift.mm") * board.fretMm(fret - BELOW);
        }
    }

    private static double finger(Fretboard board, Parameters p, int before, int after) {
        if (before == after) {
            return 0;
        }
        if (before == 0 || after == 0) {
            return p.get(after == 0 ? "change.lift" : "change.land");
        }
        double mm = Math.abs(board.pressMm(after) - board.pressMm(before));
        return Math.min(
                p.get("change.slide") + p.get("change.slide.mm") * mm,
                p.get("change.travel") + p.get("change.travel.mm") * mm);
    }

    /** All that is asked of a grip, small enough for millions of questions: the hand's fret and each finger's. */
    public static long outline(Grip grip) {
        long outline = grip.handFret() + BELOW;
        for (Hold hold : grip.holds()) {
            outline |= (long) hold.fret() << BITS * hold.finger();
        }
        return outline;
    }

    /** No less than this is {@link ChangeModel#effort} between two grips with these outlines. */
    public double of(long from, long to) {
        double moves = 0;
        boolean bothPress = from > MASK && to > MASK;
        boolean sameFingers = true;
        for (int f = 1; f <= Grip.THUMB; f++) {
            int before = (int) (from >> BITS * f) & MASK;
            int after = (int) (to >> BITS * f) & MASK;
            moves += finger[before][after];
            sameFingers &= before == 0 == (after == 0);
        }
        double fingers = sameFingers ? Math.min(block, moves) : moves;
        double shift = hand[(int) from & MASK] - hand[(int) to & MASK];
        return bothPress ? fingers + Math.abs(shift) : fingers;
    }
}
