package underhand.neck;

import java.io.Serial;

/** Text that is no shape. Says what was read, where the trouble is and why. */
public final class ShapeFormatException extends IllegalArgumentException {
    @Serial
    private static final long serialVersionUID = 1L;

    private final String input;
    private final int index;
    private final String reason;

    ShapeFormatException(String input, int index, String reason) {
        super("Cannot read shape \"" + (input.length() <= 64 ? input : input.substring(0, 64) + "…") + "\" at index "
                + index + ": " + reason);
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
