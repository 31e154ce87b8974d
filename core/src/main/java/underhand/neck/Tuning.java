package underhand.neck;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
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
    public static final Tuning STANDARD = new Tuning(
            Stream.of("E2", "A2", "D3", "G3", "B3", "E4").map(Pitch::parse).toList());

    public Tuning {
        strings = List.copyOf(strings);
        if (strings.size() < FEWEST || strings.size() > MOST) {
            throw new RangeException("tuning", "a tuning has " + FEWEST + " to " + MOST + " strings, was " + strings);
        }
    }

    /**
     * Reads pitches separated by spaces, lowest string first, which {@link #toString} writes; or a common name such as drop
     * D, or letters such as DADGAD.
     */
    public static Tuning parse(String text) {
        String[] words = text.trim().split("\\s+");
        boolean pitches = words.length >= FEWEST
                && Character.isDigit(text.trim().charAt(text.trim().length() - 1));
        Optional<Tuning> named = pitches ? Optional.empty() : Tunings.find(text);
        if (named.isPresent()) {
            return named.get();
        }
        if (words.length < FEWEST || words.length > MOST) {
            throw FormatException.inText(
                    "tuning",
                    text,
                    0,
                    "a tuning names " + FEWEST + " to " + MOST + " strings with octaves, such as " + STANDARD
                            + ", or has a name such as drop D");
        }
        return new Tuning(Arrays.stream(words).map(Pitch::parse).toList());
    }

    /** The tunings that have a name, by the first of their names; the usual one first. */
    public static Map<String, Tuning> named() {
        return Tunings.table();
    }

    /** What it is called, by the first of its names; empty where it has none. */
    public Optional<String> name() {
        return named().entrySet().stream()
                .filter(named -> named.getValue().equals(this))
                .map(Map.Entry::getKey)
                .findFirst();
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
