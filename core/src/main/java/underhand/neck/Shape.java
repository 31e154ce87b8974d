package underhand.neck;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import underhand.input.FormatException;
import underhand.input.RangeException;
import underhand.pitch.Pitch;

/**
 * A fret or silence for each string, lowest string first, frets counted from the capo: {@code x32010}. No fingers yet.
 */
public final class Shape {

    /** Value of a string that does not sound. */
    public static final int SILENT = -1;

    /** Room for every fret and silence. */
    private static final int CODE_BITS = 6;

    /** Odd, its bits without order (the golden ratio's): spreads shapes that are alike over a hash table. */
    private static final long SCATTER = 0x9E3779B97F4A7C15L;

    private final int[] frets;

    /** The strings that sound, and those that sound open, a bit each: searches ask for them of thousands of shapes. */
    private final int sounding;

    private final int open;

    /** The frets that are stopped, and those that are stopped on more than one string, a bit each. */
    private final long stopped;

    private final long shared;

    /** All frets in one number, {@link #CODE_BITS} a string: no two shapes have the same. */
    private final long code;

    private Shape(int[] frets) {
        this.frets = frets;
        int strings = 0;
        int openStrings = 0;
        long packed = 1;
        long once = 0;
        long again = 0;
        for (int string = 0; string < frets.length; string++) {
            strings |= frets[string] == SILENT ? 0 : 1 << string;
            openStrings |= frets[string] == 0 ? 1 << string : 0;
            packed = packed << CODE_BITS | frets[string] + 1;
            long fret = frets[string] > 0 ? 1L << frets[string] : 0;
            again |= once & fret;
            once |= fret;
        }
        this.sounding = strings;
        this.open = openStrings;
        this.code = packed;
        this.stopped = once;
        this.shared = again;
    }

    /** A shape of frets that are known to be in order; the array is kept. */
    static Shape ofChecked(int[] frets) {
        return new Shape(frets);
    }

    /** @param frets one value a string, {@link #SILENT} or 0 to {@link Guitar#MOST_FRETS} */
    public static Shape of(int... frets) {
        if (frets.length < Tuning.FEWEST || frets.length > Tuning.MOST) {
            throw new RangeException(
                    "frets", "a shape has " + Tuning.FEWEST + " to " + Tuning.MOST + " strings, was " + frets.length);
        }
        for (int fret : frets) {
            if (fret < SILENT || fret > Guitar.MOST_FRETS) {
                throw new RangeException(
                        "frets", "a fret is 0 to " + Guitar.MOST_FRETS + " or " + SILENT + " for silence, was " + fret);
            }
        }
        return new Shape(frets.clone());
    }

    /**
     * Reads {@code x32010}, {@code 8-x-7-9-10-x} or {@code 8 x 7 9 10 x}; {@link #toString} writes them.
     *
     * @throws FormatException when a place is neither a fret nor x, with its index
     */
    public static Shape parse(String text) {
        String trimmed = text.trim();
        String[] places = trimmed.matches(".*[-\\s].*") ? trimmed.split("[-\\s]+") : trimmed.split("");
        if (places.length < Tuning.FEWEST || places.length > Tuning.MOST) {
            throw FormatException.inText(
                    "shape",
                    text,
                    0,
                    "a shape has " + Tuning.FEWEST + " to " + Tuning.MOST + " strings, such as x32010");
        }
        int[] frets = new int[places.length];
        int from = 0;
        for (int string = 0; string < places.length; string++) {
            int index = text.indexOf(places[string], from);
            frets[string] = place(text, places[string], index);
            from = index + places[string].length();
        }
        return of(frets);
    }

    private static int place(String text, String place, int index) {
        if (place.equalsIgnoreCase("x")) {
            return SILENT;
        }
        if (!place.matches("[0-9]{1,2}") || Integer.parseInt(place) > Guitar.MOST_FRETS) {
            throw FormatException.inText(
                    "shape",
                    text,
                    index,
                    "\"" + place + "\" is neither a fret from 0 to " + Guitar.MOST_FRETS + " nor x");
        }
        return Integer.parseInt(place);
    }

    /** Orders shapes of one guitar string by string, silence first, then rising frets: as a search finds them. */
    public int compareInSearch(Shape other) {
        return Long.compare(code, other.code);
    }

    public int strings() {
        return frets.length;
    }

    /** Fret of a string above the capo, 0 for open, {@link #SILENT} for none. */
    public int fret(int string) {
        return frets[string];
    }

    public boolean isSilent(int string) {
        return frets[string] == SILENT;
    }

    public boolean isFretted(int string) {
        return frets[string] > 0;
    }

    public int[] toArray() {
        return frets.clone();
    }

    /** Number of strings that sound. */
    public int sounding() {
        return Integer.bitCount(sounding);
    }

    /** Number of strings that sound open. */
    public int openStrings() {
        return Integer.bitCount(open);
    }

    /** Number of strings that are fretted. */
    public int frettedStrings() {
        return Integer.bitCount(sounding) - Integer.bitCount(open);
    }

    /** Lowest fret that is stopped, or empty when none is. */
    public OptionalInt lowestFretted() {
        return stopped == 0 ? OptionalInt.empty() : OptionalInt.of(Long.numberOfTrailingZeros(stopped));
    }

    /** Number of different frets that are stopped. */
    public int stoppedFrets() {
        return Long.bitCount(stopped);
    }

    /** The frets that are stopped on more than one string, a bit each: bit 1 the first fret. */
    public long sharedFrets() {
        return shared;
    }

    /** Number of strings stopped in a fret. */
    public int stringsAt(int fret) {
        int strings = 0;
        for (int at : frets) {
            strings += at == fret ? 1 : 0;
        }
        return strings;
    }

    /**
     * The same places on the neck, counted from a nut that lies so many frets lower.
     *
     * @return empty where an open string would have to be stopped, or a finger to press before the nut or off the neck
     */
    public Optional<Shape> moved(int by) {
        int[] there = frets.clone();
        for (int string = 0; string < there.length; string++) {
            if (frets[string] != SILENT && by != 0) {
                there[string] += by;
                if (frets[string] == 0 || there[string] < 1 || there[string] > Guitar.MOST_FRETS) {
                    return Optional.empty();
                }
            }
        }
        return Optional.of(new Shape(there));
    }

    /** The same shape with another fret on one string. */
    public Shape with(int string, int fret) {
        int[] there = frets.clone();
        there[string] = fret;
        return of(there);
    }

    /** The same shape moved along the neck so that its lowest fretted place is at the first fret. */
    public Shape atFirstFret() {
        int lowest = lowestFretted().orElse(1);
        int[] moved = frets.clone();
        for (int string = 0; string < moved.length; string++) {
            moved[string] -= moved[string] > 0 ? lowest - 1 : 0;
        }
        return new Shape(moved);
    }

    /** Index of the lowest string that sounds, or empty when none does. */
    public OptionalInt lowestSounding() {
        return sounding == 0 ? OptionalInt.empty() : OptionalInt.of(Integer.numberOfTrailingZeros(sounding));
    }

    /** Index of the highest string that sounds; -1 when none does. */
    public int highestSounding() {
        return Integer.SIZE - 1 - Integer.numberOfLeadingZeros(sounding);
    }

    /** Strings that sound the same in another shape. */
    public int keptIn(Shape other) {
        int kept = 0;
        for (int string = 0; string < frets.length; string++) {
            kept += frets[string] != SILENT && frets[string] == other.fret(string) ? 1 : 0;
        }
        return kept;
    }

    /** Numbers of the strings that sound, from the highest as 1, the lowest string first: {@code 6432}. */
    public String stringNumbers() {
        StringBuilder numbers = new StringBuilder();
        for (int string = 0; string < frets.length; string++) {
            numbers.append(isSilent(string) ? "" : frets.length - string);
        }
        return numbers.toString();
    }

    public int highestFret() {
        return Arrays.stream(frets).max().orElse(SILENT);
    }

    /** Sounding pitches from the lowest string to the highest. */
    public List<Pitch> pitches(Fretboard board) {
        List<Pitch> pitches = new ArrayList<>();
        for (int string = 0; string < frets.length; string++) {
            if (frets[string] != SILENT) {
                pitches.add(Pitch.ofMidi(board.midi(string, frets[string])));
            }
        }
        return pitches;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Shape shape && code == shape.code;
    }

    @Override
    public int hashCode() {
        return Long.hashCode(code * SCATTER);
    }

    /** {@code x32010}, or {@code 8-x-7-9-10-x} once a fret has two digits. */
    @Override
    public String toString() {
        boolean wide = highestFret() > 9;
        StringBuilder text = new StringBuilder();
        for (int string = 0; string < frets.length; string++) {
            if (wide && string > 0) {
                text.append('-');
            }
            text.append(frets[string] == SILENT ? "x" : Integer.toString(frets[string]));
        }
        return text.toString();
    }
}
