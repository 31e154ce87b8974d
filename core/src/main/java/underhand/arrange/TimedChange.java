package underhand.arrange;

import underhand.move.Change;

/**
 * A change between two placements against the time there is for it.
 *
 * @param from index of the placement left
 * @param to index of the placement reached
 * @param lateEffort what being late adds to the effort of the change
 */
public record TimedChange(int from, int to, Change change, double availableSeconds, double lateEffort) {

    /** Seconds to spare; negative when the hand comes late. */
    public double slackSeconds() {
        return availableSeconds - change.neededSeconds();
    }
}
