package underhand.server.arrangements;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.Arrays;
import java.util.Locale;
import underhand.chart.Chart;
import underhand.hand.Rung;
import underhand.input.RangeException;
import underhand.server.platform.InputException;
import underhand.settings.ReadingChoice;
import underhand.settings.ReadingChoice.Verdict;

/**
 * What was said to a reading of a placement.
 *
 * @param placement counted from 0 in the chart
 * @param reading id of the reading
 * @param stand accepted, pinned or refused
 * @param rung the rung of the ladder it was chosen with, and falls with; the player's own when missing
 */
public record ReadingChoiceRequest(
        Integer placement,
        String reading,

        @Schema(allowableValues = {"accepted", "pinned", "refused"})
        String stand,

        @Schema(nullable = true, minimum = "1", maximum = "5")
        Integer rung) {

    private static final int LONGEST_ID = 80;

    /** @throws InputException naming what is missing or wrong */
    public ReadingChoice toChoice() {
        if (placement == null || placement < 0 || placement >= Chart.MOST_PLACEMENTS) {
            throw InputException.field("readings", "A reading names its placement, counted from 0.");
        }
        if (reading == null || reading.isBlank() || reading.length() > LONGEST_ID) {
            throw InputException.field("readings", "A choice names its reading, such as two-before-five.");
        }
        if (rung != null) {
            RangeException.check("readings.rung", rung, Rung.LOWEST, Rung.HIGHEST);
        }
        Verdict said = Arrays.stream(Verdict.values())
                .filter(s -> s.name().toLowerCase(Locale.ROOT).equals(stand))
                .findFirst()
                .orElseThrow(() -> InputException.field(
                        "readings", "stand must be accepted, pinned or refused, was \"" + stand + "\"."));
        return ReadingChoice.of(placement, reading, said);
    }

    /** The same at another placement. */
    public ReadingChoiceRequest at(int other) {
        return new ReadingChoiceRequest(other, reading, stand, rung);
    }
}
