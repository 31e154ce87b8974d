package underhand.neck;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import underhand.input.FormatException;
import underhand.input.RangeException;
import underhand.pitch.Pitch;

/**
 * The open strings from the lowest to the highest, such as {@code E2 A2 D3 G3 B3 E4}.
 *
 * @param strings 4 to 9 sounding pitches; not necessarily ascending (re-entrant tunings)
 */
public record Tuning(List<Pitch> strings) {

    public static final int FEWEST = 4;
    public static final int MOST = 9;
    public static final Tuning STANDARD = parse("E2 A2 D3 G3 B3 E4");

    public Tuning {
        strings = List.copyOf(strings);
        if (strings.size() < FEWEST || strings.size() > MOST) {
            throw new RangeException("tuning", "a tuning has " + FEWEST + " to " + MOST + " strings, was " + strings);
        }
    }

    /** Reads pitches separated by spaces, lowest string first; {@link #toString} writes them. */
    public static Tuning parse(String text) {
        String[] words = text.trim().split("\\s+");
        if (words.length < FEWEST || words.length > MOST) {
            throw FormatException.inText(
                    "tuning",
                    text,
                    0,
                    "a tuning names " + FEWEST + " to " + MOST + " strings with octaves, such as " + STANDARD);
        }
        return new Tuning(Arrays.stream(words).map(Pitch::parse).toList());
    }

    public int size() {
        return strings.size();
    }

    /** Sounding MIDI number of a string stopped at a fret above a capo. */
    public int midi(int string, int capo, int fret) {
        return strings.get(string).midi() + capo + fret;
    }

    @Override
    public String toString() {
        return strings.stream().map(Pitch::toString).collect(Collectors.joining(" "));
    }
}
