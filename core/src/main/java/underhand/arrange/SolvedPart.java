package underhand.arrange;

import java.util.List;

/**
 * The best part for one capo position.
 *
 * @param total effort of grips, changes and capo
 * @param proven whether no grip left out of the search could have been part of a cheaper route
 */
record SolvedPart(
        int capo,
        double total,
        List<PlacedGrip> placements,
        List<TimedChange> changes,
        List<Integer> unkeptLocks,
        boolean proven) {}
