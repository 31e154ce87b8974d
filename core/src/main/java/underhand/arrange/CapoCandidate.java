package underhand.arrange;

import java.util.List;
import java.util.Optional;
import underhand.solve.TimedChange;

/**
 * What a capo position would mean for the whole song.
 *
 * @param total effort of the best part there
 * @param barres placements that need a barre
 * @param beyond placements that need a grip beyond the player's rung, or have none
 * @param worstChange the change with the least time to spare
 * @param reasons short clauses, the weightiest first
 */
public record CapoCandidate(
        int capo, double total, int barres, int beyond, Optional<TimedChange> worstChange, List<String> reasons) {}
