package underhand.pitch;

import underhand.input.FormatException;

/**
 * A spelled interval upwards, such as a minor third, m3.
 *
 * @param number the musician's count of letters, 1 (unison) to 15; a tenth is 10
 * @param semitones size in semitones
 */
public record Interval(int number, int semitones) implements Comparable<Interval> {

    /** Semitones of the major or perfect interval on each step of the scale. */
    private static final int[] NATURAL = {0, 2, 4, 5, 7, 9, 11};

    private static final int HIGHEST = 15;

    public Interval {
        if (number < 1 || number > HIGHEST) {
            throw new IllegalArgumentException("number must be 1 to 15, was " + number);
        }
        int off = semitones - naturalSize(number);
        int lowest = isPerfect(number) ? -1 : -2;
        if (off < lowest || off > 1) {
            throw new IllegalArgumentException(
                    "an interval number " + number + " cannot have " + semitones + " semitones");
        }
    }

    /** Reads {@code P1}, {@code m3}, {@code M7}, {@code d5}, {@code A11}. */
    public static Interval parse(String text) {
        if (!text.matches("[PMmdA][0-9]{1,2}")) {
            throw FormatException.inText(
                    "interval", text, 0, "an interval is P, M, m, d or A and a number, such as m3");
        }
        int number = Integer.parseInt(text.substring(1));
        if (number < 1 || number > HIGHEST) {
            throw FormatException.inText("interval", text, 1, "an interval's number is 1 to 15");
        }
        boolean perfect = isPerfect(number);
        int off = switch (text.charAt(0)) {
            case 'P', 'M' -> 0;
            case 'm' -> -1;
            case 'd' -> perfect ? -1 : -2;
            default -> 1;
        };
        boolean fits = perfect ? "PdA".indexOf(text.charAt(0)) >= 0 : text.charAt(0) != 'P';
        if (!fits) {
            throw FormatException.inText("interval", text, 0, "there is no such quality for this number");
        }
        return new Interval(number, naturalSize(number) + off);
    }

    private static boolean isPerfect(int number) {
        int step = (number - 1) % 7;
        return step == 0 || step == 3 || step == 4;
    }

    private static int naturalSize(int number) {
        return NATURAL[(number - 1) % 7] + 12 * ((number - 1) / 7);
    }

    /** Semitones within the octave, 0 to 11. */
    public int pitchClass() {
        return Math.floorMod(semitones, 12);
    }

    /** Semitones by which it differs from the major or perfect interval: -1 for m3, +1 for A5. */
    public int offset() {
        return semitones - naturalSize(number);
    }

    @Override
    public int compareTo(Interval other) {
        return number != other.number
                ? Integer.compare(number, other.number)
                : Integer.compare(semitones, other.semitones);
    }

    /** Its number with a sign where it is not the major or perfect one, as chords are spelled: {@code ♭3}. */
    public String degree() {
        int off = offset();
        return (off > 0 ? "♯".repeat(off) : "♭".repeat(-off)) + number;
    }

    /** Quality and number, {@code m3}; {@link #parse} reads it back. */
    @Override
    public String toString() {
        int off = offset();
        String quality =
                isPerfect(number) ? new String[] {"d", "P", "A"}[off + 1] : new String[] {"d", "m", "M", "A"}[off + 2];
        return quality + number;
    }
}
