package underhand.input;

import java.io.Serial;

/** A value that cannot be: says which field, what it may be, and what it was. */
public final class RangeException extends IllegalArgumentException {
    @Serial
    private static final long serialVersionUID = 1L;

    private final String field;

    public RangeException(String field, String message) {
        super(message);
        this.field = field;
    }

    /** Name of the value, as the settings and the API call it. */
    public String field() {
        return field;
    }

    /** @throws RangeException if a value does not lie from low to high, both included */
    public static void check(String field, int value, int low, int high) {
        if (value < low || value > high) {
            throw outside(field, value, low + " to " + high);
        }
    }

    /** @throws RangeException if a value is no number, or does not lie from low to high, both included */
    public static void check(String field, double value, double low, double high) {
        if (!(value >= low && value <= high)) {
            throw outside(field, value, plain(low) + " to " + plain(high));
        }
    }

    /** A value beside what it may be, in words. */
    public static RangeException outside(String field, Object value, String allowed) {
        return new RangeException(
                field,
                field + " must be " + allowed + ", was " + (value instanceof String ? "\"" + value + "\"" : value));
    }

    private static String plain(double value) {
        return value == Math.rint(value) ? Long.toString(Math.round(value)) : Double.toString(value);
    }
}
