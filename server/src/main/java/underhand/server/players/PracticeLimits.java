package underhand.server.players;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.Optional;
import java.util.OptionalInt;
import underhand.input.RangeException;
import underhand.server.platform.InputException;

/**
 * How a player practises.
 *
 * @param barreMinutes most minutes a day of drills with barres; a part of the plan's minutes when missing
 * @param stretchMinutes the same of drills that open the hand wide
 * @param measuredFrom runs before this time say nothing of the player's speed any more; all count when missing
 */
public record PracticeLimits(
        @Schema(nullable = true) Integer barreMinutes,
        @Schema(nullable = true) Integer stretchMinutes,
        @Schema(nullable = true) String measuredFrom) {

    static final PracticeLimits NONE = new PracticeLimits(null, null, null);

    private static final int MOST_MINUTES = 120;

    /** @throws RuntimeException naming the field that is out of range */
    void check() {
        check("practice.barreMinutes", barreMinutes);
        check("practice.stretchMinutes", stretchMinutes);
        from();
    }

    private static void check(String field, Integer minutes) {
        if (minutes != null) {
            RangeException.check(field, minutes, 0, MOST_MINUTES);
        }
    }

    public OptionalInt mostBarres() {
        return minutes(barreMinutes);
    }

    public OptionalInt mostStretches() {
        return minutes(stretchMinutes);
    }

    private static OptionalInt minutes(Integer said) {
        return said == null ? OptionalInt.empty() : OptionalInt.of(said);
    }

    /** From when on runs count; empty where all do. */
    Optional<Instant> from() {
        try {
            return Optional.ofNullable(measuredFrom).map(Instant::parse);
        } catch (DateTimeParseException unread) {
            throw InputException.field(
                    "practice.measuredFrom",
                    "\"" + measuredFrom + "\" is no time; send one such as 2026-05-01T18:00:00Z.");
        }
    }
}
