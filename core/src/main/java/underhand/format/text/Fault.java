package underhand.format.text;

import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * A place in a text that was not understood, or that can be read in more than one way. The rest of the text was kept.
 *
 * @param line from 1
 * @param column from 1
 * @param input the piece it is about, at most 64 characters
 * @param reason what is wrong with it
 * @param suggestion what was probably meant in its place
 * @param mends edits that settle it, one click each
 */
public record Fault(
        Kind kind, int line, int column, String input, String reason, Optional<String> suggestion, List<Mend> mends) {

    /** How sure the reading of a place is. */
    public enum Kind {
        /** It was not understood. */
        UNREAD,
        /** It was read in one way and could be meant in another. */
        UNSURE,
        /** It was understood; something about it is good to know. */
        TOLD
    }

    /**
     * An edit of the text that settles a place.
     *
     * @param label what it does, in a few words
     * @param fromLine first place it takes out; lines and columns from 1
     * @param toColumn column after the last place it takes out
     * @param text what comes in its place
     */
    public record Mend(String label, int fromLine, int fromColumn, int toLine, int toColumn, String text) {}

    private static final int QUOTED = 64;

    public Fault {
        Objects.requireNonNull(kind, "kind");
        Objects.requireNonNull(reason, "reason");
        Objects.requireNonNull(suggestion, "suggestion");
        input = input.length() <= QUOTED ? input : input.substring(0, QUOTED) + "…";
        mends = List.copyOf(mends);
    }

    /** A place that was not understood. */
    static Fault unread(SourceLine line, int at, String input, String reason) {
        return new Fault(Kind.UNREAD, line.number(), line.column(at), input, reason, Optional.empty(), List.of());
    }

    /** A place that was understood, and what is good to know about it. */
    static Fault told(SourceLine line, int at, String input, String reason) {
        return new Fault(Kind.TOLD, line.number(), line.column(at), input, reason, Optional.empty(), List.of());
    }

    /** A place that can be read otherwise, with the ways to settle it. */
    static Fault unsure(SourceLine line, int at, String input, String reason, List<Mend> mends) {
        return new Fault(Kind.UNSURE, line.number(), line.column(at), input, reason, Optional.empty(), mends);
    }

    /** The same with what was probably meant, which is put in the place of its text. */
    Fault suggesting(Optional<String> meant) {
        List<Mend> write = meant.map(
                        m -> List.of(new Mend("Write " + m, line, column, line, column + input.length(), m)))
                .orElse(List.of());
        return new Fault(kind, line, column, input, reason, meant, write);
    }

    /** One sentence for people: {@code Line 12, column 9: 'Gmaf7' is no chord name here. Did you mean Gmaj7?}. */
    public String message() {
        return "Line " + line + ", column " + column + ": '" + input + "' " + reason + "."
                + suggestion.map(s -> " Did you mean " + s + "?").orElse("");
    }
}
