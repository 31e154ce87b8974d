package underhand.solve;

import java.util.List;
import java.util.Optional;

/**
 * The best part for one capo position.
 *
 * @param total effort of grips, changes and capo
 * @param unkeptLocks placements whose lock no hand can hold
 * @param unkeptReadings placements whose chosen reading no rule proposes any more, or no hand can play as it is called
 * @param budget what was left out of the search; empty when no part is cheaper
 * @param solo the tune, where it is played on top of the chords
 */
public record SolvedPart(
        int capo,
        double total,
        List<PlacedGrip> placements,
        List<TimedChange> changes,
        List<Integer> unkeptLocks,
        List<Integer> unkeptReadings,
        Optional<Budget> budget,
        Optional<Solo> solo) {}
