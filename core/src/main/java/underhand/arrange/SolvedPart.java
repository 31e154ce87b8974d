package underhand.arrange;

import java.util.List;

/**
 * The best part for one capo position.
 *
 * @param total effort of grips, changes and capo
 * @param cutGrips grips left out of the search because a layer had too many
 */
record SolvedPart(
        int capo,
        double total,
        List<PlacedGrip> placements,
        List<TimedChange> changes,
        List<Integer> unkeptLocks,
        int cutGrips) {}
