package underhand.format.engrave;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import underhand.format.staff.StaffNote;
import underhand.format.staff.StaffNote.Head;
import underhand.hand.Grip;

/**
 * A finger of the left hand before the heads of a column.
 *
 * @param position lines and spaces above the lowest line
 * @param column from the heads to the left, from 0
 */
record FingerMark(int position, String label, int column) {

    /** Fingers this many lines and spaces apart do not touch. */
    private static final int APART = 2;

    /** The fingers of notes that stand over one another, the lowest first; where two would touch, one stands farther out. */
    static List<FingerMark> of(List<StaffNote> column) {
        List<FingerMark> marks = new ArrayList<>();
        List<Integer> highestIn = new ArrayList<>();
        column.stream()
                .filter(StaffNote::isFingered)
                .flatMap(note -> note.heads().stream()
                        .filter(head ->
                                note.event().fingered().contains(head.note().string())))
                .map(head -> new FingerMark(head.position(), label(head), 0))
                .distinct()
                .sorted(Comparator.comparingInt(FingerMark::position))
                .forEach(mark -> {
                    int at = 0;
                    while (at < highestIn.size() && mark.position - highestIn.get(at) < APART) {
                        at++;
                    }
                    if (at == highestIn.size()) {
                        highestIn.add(mark.position);
                    } else {
                        highestIn.set(at, mark.position);
                    }
                    marks.add(new FingerMark(mark.position, mark.label, at));
                });
        return marks;
    }

    private static String label(Head head) {
        int finger = head.note().leftFinger();
        return finger == Grip.THUMB ? "T" : Integer.toString(finger);
    }

    /** Columns that fingers take. */
    static int columns(List<FingerMark> marks) {
        return marks.stream().mapToInt(mark -> mark.column() + 1).max().orElse(0);
    }
}
