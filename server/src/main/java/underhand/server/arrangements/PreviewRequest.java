package underhand.server.arrangements;

import com.fasterxml.jackson.databind.JsonNode;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;

/**
 * What to arrange, for whom.
 *
 * @param capo {@code "auto"} or a fret from 0 to 11; auto when missing
 * @param tuning strings low to high; the chart's own, or standard, when missing
 * @param tempo beats a minute; the chart's own when missing
 */
public record PreviewRequest(
        ChartRequest chart,
        Integer rung,
        String setting,
        @Schema(type = "string", example = "auto") JsonNode capo,
        String tuning,
        PlayerRequest player,
        GuitarRequest guitar,
        HouseRulesRequest houseRules,
        List<LockRequest> locks,
        Integer tempo) {

    /** @param format only {@code text} */
    public record ChartRequest(String format, String source) {}

    /** Limits of a hand that differ from an adult's defaults; distances between fingers 1 and 4 in mm. */
    public record PlayerRequest(
            String name, Double comfortableMm, Double widestMm, Boolean thumb, Double changeFactor) {}

    /**
     * @param thumb whether the thumb may stop the lowest string
     * @param ring -1 dry to 1 ringing
     * @param motion -1 a still top line to 1 a moving one
     */
    public record HouseRulesRequest(Boolean thumb, Double ring, Double motion) {}

    /** A guitar that differs from a steel-string acoustic; lengths in mm. */
    public record GuitarRequest(Double scaleLengthMm, Double nutSpreadMm, Double bridgeSpreadMm, Integer frets) {}

    /** A placement, counted from 0, that keeps a shape. */
    public record LockRequest(
            Integer placement,
            @Schema(type = "string", example = "x32010") JsonNode frets) {}
}
