package underhand.format.text;

import java.io.Serial;

/** A chart larger than is accepted; says which limit and how far over. */
public final class ChartLimitException extends IllegalArgumentException {
    @Serial
    private static final long serialVersionUID = 1L;

    private final boolean tooManyBytes;

    private ChartLimitException(String message, boolean tooManyBytes) {
        super(message);
        this.tooManyBytes = tooManyBytes;
    }

    static ChartLimitException bytes(int found, int limit) {
        return new ChartLimitException(
                "The chart has " + found + " bytes; at most " + limit + " are accepted. Split it into songs.", true);
    }

    static ChartLimitException placements(int limit) {
        return new ChartLimitException(
                "The chart has more than " + limit + " chords with its repeats written out; at most " + limit
                        + " are accepted.",
                false);
    }

    /** Whether the text itself is too large, rather than what it unrolls to. */
    public boolean isTooManyBytes() {
        return tooManyBytes;
    }
}
