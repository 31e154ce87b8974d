package underhand.server.arrangements;

import io.swagger.v3.oas.annotations.media.Schema;
import underhand.chart.Chart;
import underhand.server.platform.InputException;

/**
 * A fill that is played.
 *
 * @param placement place in the chart, from 0
 * @param part which of the placement's chords; 0 when missing
 * @param fill id of the fill
 */
public record FillChoiceRequest(
        Integer placement, @Schema(nullable = true) Integer part, String fill) {

    private static final int LONGEST_ID = 60;

    /** @throws InputException naming what is missing */
    public void check() {
        if (placement == null || placement < 0 || placement >= Chart.MOST_PLACEMENTS) {
            throw InputException.field("fills.placement", "A fill names its placement, counted from 0.");
        }
        if (fill == null || fill.isBlank() || fill.length() > LONGEST_ID) {
            throw InputException.field("fills.fill", "A fill has the id it is offered with.");
        }
    }

    /** The same at another placement. */
    public FillChoiceRequest at(int other) {
        return new FillChoiceRequest(other, part, fill);
    }
}
