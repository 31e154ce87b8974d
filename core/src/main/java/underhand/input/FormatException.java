package underhand.input;

import java.io.Serial;
import java.util.Optional;

/** Text or a file that cannot be read: says what was read, where the trouble is, and why. */
public final class FormatException extends IllegalArgumentException {
    @Serial
    private static final long serialVersionUID = 1L;

    private static final int QUOTED = 64;

    private final String what;
    private final String input;
    private final int line;
    private final int column;
    private final String reason;

    private FormatException(String message, String what, String input, int line, int column, String reason) {
        super(message);
        this.what = what;
        this.input = input;
        this.line = line;
        this.column = column;
        this.reason = reason;
    }

    /**
     * One line of text that should be something else.
     *
     * @param what it should be, such as a shape
     * @param index of the character where the trouble is, from 0
     */
    public static FormatException inText(String what, String input, int index, String reason) {
        String quoted = input.length() <= QUOTED ? input : input.substring(0, QUOTED) + "…";
        return new FormatException(
                "Cannot read " + what + " \"" + quoted + "\" at index " + index + ": " + reason,
                what,
                quoted,
                1,
                index + 1,
                reason);
    }

    /**
     * One of the steps of a text.
     *
     * @param what all steps together should be, such as a pattern
     * @param step where the trouble is, from 0
     */
    public static FormatException inStep(String what, String input, int step, String reason) {
        return new FormatException(
                "Step " + (step + 1) + " of the " + what + ", \"" + input + "\": " + reason,
                what,
                input,
                1,
                step + 1,
                reason);
    }

    /** A file; line and column count from 1, and are 0 where there is none to be told. */
    public static FormatException inFile(String message, int line, int column) {
        return new FormatException(message, "file", null, line, column, message);
    }

    /** What the text should have been. */
    public String what() {
        return what;
    }

    /** The text as it came, or the beginning of it; empty for a file. */
    public Optional<String> input() {
        return Optional.ofNullable(input);
    }

    /** From 1; 0 where there is none to be told. */
    public int line() {
        return line;
    }

    /** Place in the line, or number of the step, from 1; 0 where there is none to be told. */
    public int column() {
        return column;
    }

    public String reason() {
        return reason;
    }
}
