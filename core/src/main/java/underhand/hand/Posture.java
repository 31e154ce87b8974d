package underhand.hand;

import java.util.List;

/**
 * Rest is one finger per fret: finger f over fret p + f - 1 for a hand at p. A finger past its own fret is stretched,
 * one short of it is drawn in; the hand stands where the sum of both costs least.
 */
final class Posture {

    /** Fret of the index finger at rest, and what the fingers off their own frets cost there. */
    record Rest(int handFret, double cost) {}

    /** Hand over the first fret, for a grip without fingers. */
    private static final Rest OPEN = new Rest(1, 0);

    /** No hand rests behind the nut. */
    private static final int LOWEST = 1;

    /** How much more a stretched finger counts than one drawn in, for finding the hand's place (fitted: 1.9). */
    private static final double STRETCHED_TO_DRAWN_IN = 2;

    private Posture() {}

    /** Where the hand of these holds stands. */
    static int handFret(List<Hold> holds) {
        return of(holds, STRETCHED_TO_DRAWN_IN, 1).handFret();
    }

    /** Where the hand of these holds stands; the lowest of equal places. The thumb does not count. */
    static Rest of(List<Hold> holds, double stretched, double drawnIn) {
        Rest best = null;
        for (Hold hold : holds) {
            if (hold.finger() != Grip.THUMB) {
                int hand = Math.max(LOWEST, hold.fret() - (hold.finger() - 1));
                double cost = cost(holds, hand, stretched, drawnIn);
                if (best == null
                        || cost < best.cost() - 1e-12
                        || Math.abs(cost - best.cost()) <= 1e-12 && hand < best.handFret()) {
                    best = new Rest(hand, cost);
                }
            }
        }
        return best == null ? OPEN : best;
    }

    private static double cost(List<Hold> holds, int hand, double stretched, double drawnIn) {
        double cost = 0;
        for (Hold hold : holds) {
            if (hold.finger() != Grip.THUMB) {
                double off = hold.fret() - (hold.finger() - 1) - hand;
                cost += off > 0 ? stretched * off : -drawnIn * off;
            }
        }
        return cost;
    }
}
