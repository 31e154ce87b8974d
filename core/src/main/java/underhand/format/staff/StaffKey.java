package underhand.format.staff;

import java.util.List;
import underhand.pitch.Letter;

/**
 * A key signature in the treble clef. Positions count lines and spaces from the lowest line, 0.
 *
 * @param fifths sharps, or flats where it is negative; -7 to 7
 */
public record StaffKey(int fifths) {

    /** Where the sharps stand, F first, and the flats, B first; common practice. */
    private static final List<Integer> SHARPS = List.of(8, 5, 9, 6, 3, 7, 4);

    private static final List<Integer> FLATS = List.of(4, 7, 3, 6, 2, 5, 1);

    private static final String ORDER = "FCGDAEB";

    /** Positions of its accidentals from left to right. */
    public List<Integer> positions() {
        return (fifths < 0 ? FLATS : SHARPS).subList(0, Math.abs(fifths));
    }

    /** Semitones by which it alters a letter. */
    public int alteration(Letter letter) {
        int place = ORDER.indexOf(letter.name().charAt(0));
        if (fifths > place) {
            return 1;
        }
        return -fifths > ORDER.length() - 1 - place ? -1 : 0;
    }
}
