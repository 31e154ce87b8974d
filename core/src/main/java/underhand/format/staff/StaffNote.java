package underhand.format.staff;

import java.util.List;
import java.util.OptionalInt;
import underhand.part.Notation;
import underhand.part.NoteValue;
import underhand.part.PlayedNote;

/**
 * One written length on the staff: a chord, a note or a rest.
 *
 * @param event what it is written for; a length that takes several values has several
 * @param from where it begins in its bar, in {@link NoteValue#PER_QUARTER}ths of a quarter
 * @param tied whether it is held over from the one before
 * @param heads lowest first; none for a rest
 * @param stemUp which way a stem goes, where it has one
 * @param slash whether it is a strum written as a slash, with one head on the middle line
 */
public record StaffNote(
        Notation.Event event,
        NoteValue value,
        int from,
        boolean tied,
        List<Head> heads,
        boolean stemUp,
        boolean slash) {

    private static final int HALF_A_SLASH = 2;

    /**
     * @param position lines and spaces above the lowest line, 0
     * @param accidental semitones of the sign before it; empty where the key or the bar says it already
     * @param column place of that sign from the heads to the left, from 0
     * @param aside whether it stands on the other side of the stem, since its neighbour stands on the usual one
     */
    public record Head(PlayedNote note, int position, OptionalInt accidental, int column, boolean aside) {}

    /** Whether a chord of the song begins with it. */
    public boolean begins() {
        return !tied && event.begins();
    }

    /** Whether a finger of the left hand stands beside one of its heads. */
    public boolean isFingered() {
        return !tied && !slash && !event.fingered().isEmpty();
    }

    public boolean isRest() {
        return heads.isEmpty();
    }

    public boolean hasStem() {
        return !isRest() && value.type() > 1;
    }

    /** Flags, or beams in their stead: 1 for an eighth. */
    public int flags() {
        return switch (value.type()) {
            case 8 -> 1;
            case 16 -> 2;
            case 32 -> 3;
            default -> 0;
        };
    }

    /** Position of its lowest head, or of the foot of its slash. */
    public int lowest() {
        return heads.get(0).position() - (slash ? HALF_A_SLASH : 0);
    }

    /** Position of its highest head, or of the top of its slash. */
    public int highest() {
        return heads.get(heads.size() - 1).position() + (slash ? HALF_A_SLASH : 0);
    }

    /** Columns its accidentals take. */
    public int accidentalColumns() {
        return heads.stream()
                .filter(h -> h.accidental().isPresent())
                .mapToInt(h -> h.column() + 1)
                .max()
                .orElse(0);
    }
}
