package underhand.format.staff;

import java.util.List;
import underhand.part.Notation;

/**
 * A bar on the staff.
 *
 * @param beams runs of notes under one beam, by index; two at least in each
 * @param triplets runs of notes that are three in the time of two, by index
 */
public record StaffBar(
        Notation.WrittenBar written, List<StaffNote> notes, List<List<Integer>> beams, List<List<Integer>> triplets) {}
