package underhand.harmony;

import java.util.Objects;

/**
 * What a chord does in its key, such as the dominant of ii.
 *
 * @param numeral Roman numeral, {@code V7/ii} for a dominant of another degree
 * @param words for a player: {@code the iv of the minor key, borrowed}
 */
public record Function(Kind kind, String numeral, String words) {

    /** Kinds of function. */
    public enum Kind {
        DIATONIC,
        SECONDARY_DOMINANT,
        SECONDARY_TWO,
        TRITONE_SUBSTITUTE,
        BACKDOOR,
        PASSING_DIMINISHED,
        LEADING_DIMINISHED,
        COMMON_TONE_DIMINISHED,
        BORROWED,
        LINE,
        BLUES,
        TURNAROUND,
        OUTSIDE
    }

    public Function {
        Objects.requireNonNull(kind, "kind");
        Objects.requireNonNull(numeral, "numeral");
        Objects.requireNonNull(words, "words");
    }

    /** The same with more words. */
    Function with(String more) {
        return new Function(kind, numeral, words + more);
    }
}
