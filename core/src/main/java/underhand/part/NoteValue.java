package underhand.part;

import java.util.ArrayList;
import java.util.List;

/**
 * A written length: a note type, dotted or not, or one of a triplet.
 *
 * @param type 1 for a whole note, 2 for a half, up to 32
 * @param triplet whether three stand in the time of two
 */
public record NoteValue(int type, boolean dotted, boolean triplet) {

    /** Parts of a quarter note in which lengths are counted: fine enough for 32nds and for triplets. */
    public static final int PER_QUARTER = 24;

    private static final List<NoteValue> STRAIGHT = List.of(
            new NoteValue(1, false, false),
            new NoteValue(2, true, false),
            new NoteValue(2, false, false),
            new NoteValue(4, true, false),
            new NoteValue(4, false, false),
            new NoteValue(8, true, false),
            new NoteValue(8, false, false),
            new NoteValue(16, true, false),
            new NoteValue(16, false, false),
            new NoteValue(32, false, false));

    private static final List<NoteValue> TRIPLETS = List.of(
            new NoteValue(2, false, true),
            new NoteValue(4, false, true),
            new NoteValue(8, false, true),
            new NoteValue(16, false, true),
            new NoteValue(32, false, true));

    /** Length in quarters. */
    public double quarters() {
        return length() / (double) PER_QUARTER;
    }

    /** Length in {@link #PER_QUARTER}ths of a quarter. */
    public int length() {
        int plain = 4 * PER_QUARTER / type;
        int dot = dotted ? plain + plain / 2 : plain;
        return triplet ? dot * 2 / 3 : dot;
    }

    /**
     * The values that make up a length, to be tied together; what begins off the beat is split where a beat begins.
     *
     * @param from where it begins in its bar
     * @param length both in {@link #PER_QUARTER}ths of a quarter; what is finer than a triplet 32nd is left out
     */
    public static List<NoteValue> of(int from, int length) {
        List<NoteValue> values = new ArrayList<>();
        int at = from;
        int rest = length;
        while (rest > 0) {
            int room = at % PER_QUARTER == 0 ? rest : Math.min(rest, PER_QUARTER - at % PER_QUARTER);
            NoteValue value = longest(at, room);
            if (value == null) {
                return values;
            }
            values.add(value);
            at += value.length();
            rest -= value.length();
        }
        return values;
    }

    private static NoteValue longest(int at, int room) {
        boolean thirds = at % 3 != 0 || room % 3 != 0;
        for (NoteValue value : thirds ? TRIPLETS : STRAIGHT) {
            if (value.length() <= room) {
                return value;
            }
        }
        return null;
    }
}
