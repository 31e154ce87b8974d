package underhand.pitch;

import java.io.Serial;

/** Text that is no note, pitch, interval or key. Says what was read, where the trouble is and why. */
public final class PitchFormatException extends IllegalArgumentException {
    @Serial
    private static final long serialVersionUID = 1L;

    private static final int QUOTED = 64;

    private final String input;
    private final int index;
    private final String reason;

    public PitchFormatException(String input, int index, String reason) {
        super("Cannot read \"" + quote(input) + "\" at index " + index + ": " + reason);
        this.input = input;
        this.index = index;
        this.reason = reason;
    }

    private static String quote(String text) {
        return text.length() <= QUOTED ? text : text.substring(0, QUOTED) + "…";
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
