package underhand.format.staff;

import java.util.ArrayList;
import java.util.List;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Stream;
import underhand.part.Notation;
import underhand.part.NoteValue;

/**
 * A bar on the staff.
 *
 * @param voices one, or a tune and what is under it
 */
public record StaffBar(Notation.WrittenBar written, List<StaffVoice> voices) {

    /**
     * Notes one after another.
     *
     * @param beams runs of notes under one beam, by index; two at least in each
     * @param triplets runs of notes that are three in the time of two, by index
     */
    public record StaffVoice(List<StaffNote> notes, List<List<Integer>> beams, List<List<Integer>> triplets) {}

    /**
     * The notes of all voices that stand over one another.
     *
     * @param from where they begin in their bar
     * @param quarters until the next
     */
    public record Column(int from, double quarters, List<StaffNote> notes) {}

    /** The columns of the bar, in the order of time. */
    public List<Column> columns() {
        SortedMap<Integer, List<StaffNote>> notes = new TreeMap<>();
        notes().forEach(n ->
                notes.computeIfAbsent(n.from(), from -> new ArrayList<>()).add(n));
        List<Integer> starts = List.copyOf(notes.keySet());
        List<Column> columns = new ArrayList<>();
        for (int i = 0; i < starts.size(); i++) {
            int from = starts.get(i);
            int until = i + 1 < starts.size() ? starts.get(i + 1) : written.length();
            columns.add(new Column(from, (until - from) / (double) NoteValue.PER_QUARTER, notes.get(from)));
        }
        return columns;
    }

    /** The notes of all voices. */
    public Stream<StaffNote> notes() {
        return voices.stream().flatMap(v -> v.notes().stream());
    }
}
