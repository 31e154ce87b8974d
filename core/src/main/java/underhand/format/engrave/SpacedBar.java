package underhand.format.engrave;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import underhand.chart.FoldedBar;
import underhand.format.staff.StaffBar;
import underhand.format.staff.StaffNote;

/**
 * A bar with its columns, none where it is the sign of the one before again, the words under them by their numbers, and the
 * points it wants.
 */
record SpacedBar(
        StaffBar bar,
        FoldedBar folded,
        boolean newMetre,
        List<Column> columns,
        Map<Integer, String> words,
        float width) {

    /**
     * The notes of all voices that stand over one another.
     *
     * @param before points they want to their left
     * @param after points they want for themselves and up to the next
     */
    record Column(int from, List<StaffNote> notes, float before, float after) {

        Optional<StaffNote> begins() {
            return notes.stream().filter(StaffNote::begins).findFirst();
        }

        float width() {
            return before + after;
        }

        Column wider(float points) {
            return new Column(from, notes, before, after + points);
        }
    }

    int number() {
        return bar.written().bar().number();
    }

    boolean isSign() {
        return columns.isEmpty();
    }
}
