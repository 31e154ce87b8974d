package underhand.settings;

import java.util.Objects;
import underhand.harmony.ReadingId;
import underhand.input.RangeException;

/**
 * A decision of the player about a reading: the route may take it, has to, or may not.
 *
 * <p>A choice at a placement holds for its repeats as well, unless they have choices of their own.
 *
 * @param placement index in the chart
 * @param reading id of the reading, as its rule gave it
 */
public record ReadingChoice(int placement, ReadingId reading, Verdict verdict) {

    /** What the player said to it. */
    public enum Verdict {
        ACCEPTED,
        PINNED,
        REFUSED
    }

    /** @param reading id of the reading, as its rule gave it */
    public static ReadingChoice of(int placement, String reading, Verdict verdict) {
        return new ReadingChoice(placement, ReadingId.parse(reading), verdict);
    }

    public ReadingChoice {
        Objects.requireNonNull(reading, "reading");
        Objects.requireNonNull(verdict, "verdict");
        RangeException.check("readings.placement", placement, 0, Integer.MAX_VALUE);
    }
}
