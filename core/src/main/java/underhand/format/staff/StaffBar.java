package underhand.format.staff;

import java.util.List;
import java.util.stream.Stream;
import underhand.part.Notation;

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

    /** The notes of all voices. */
    public Stream<StaffNote> notes() {
        return voices.stream().flatMap(v -> v.notes().stream());
    }
}
