package underhand.server.backup;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;

/**
 * What putting a backup back changes, or has changed.
 *
 * @param mode replace when the book becomes what the backup holds, merge when nothing is taken away
 * @param stored whether it was done; false for a preview
 * @param undo whether it can be undone
 */
record RestorePlan(
        @Schema(allowableValues = {"replace", "merge"}) String mode,

        boolean stored,
        boolean undo,
        List<ShelfPlan> shelves) {

    /**
     * What becomes of one kind of thing.
     *
     * @param kind such as songs
     * @param added names of those the book does not have
     * @param changed names of those it has otherwise
     * @param removed names of those the backup does not have
     * @param same how many are alike in both
     */
    record ShelfPlan(String kind, List<String> added, List<String> changed, List<String> removed, int same) {}
}
