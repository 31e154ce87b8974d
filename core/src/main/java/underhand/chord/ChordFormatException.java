package underhand.chord;

import java.io.Serial;

/** Text that is no chord symbol. Says what was read, where the trouble is and why. */
public final class ChordFormatException extends IllegalArgumentException {
    @Serial
    private static final long serialVersionUID = 1L;

    private static final int QUOTED = 64;

    private final String input;
    private final int index;
    private final String reason;

    ChordFormatException(String input, int index, String reason) {
        super("Cannot read chord symbol \""
                + (input.length() <= QUOTED ? input : input.substring(0, QUOTED) + "…")
                + "\" at index " + index + ": " + reason);
        this.input = input;
        this.index = index;
        this.reason = reason;
    }

    public String input() {
        return input;
    }

    /** Zero-based index of the character where the trouble is. */
    public int index() {
        return index;
    }

    public String reason() {
        return reason;
    }
}
