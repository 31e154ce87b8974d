package underhand.arrange;

import java.util.List;

/**
 * The best part for one capo position.
 *
 * @param total effort of grips, changes and capo
 * @param unkeptLocks placements whose lock no hand can hold
 * @param unkeptReadings placements whose chosen reading no rule proposes any more
 * @param proven whether no grip left out of the search could have been part of a cheaper route
 */
record SolvedPart(
        int capo,
        double total,
        List<PlacedGrip> placements,
        List<TimedChange> changes,
        List<Integer> unkeptLocks,
        List<Integer> unkeptReadings,
        boolean proven) {}
