package underhand.server.arrangements;

import com.fasterxml.jackson.databind.JsonNode;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import underhand.server.players.HouseRulesRequest;
import underhand.server.players.PairReach;

/**
 * What to arrange, for whom.
 *
 * @param capo {@code "auto"} or a fret from 0 to 11; auto when missing
 * @param tuning strings low to high; the chart's own, or standard, when missing
 * @param transpose semitones the whole song is moved by, -11 to 11; 0 when missing
 * @param patterns what the right hand plays; a stroke a beat when missing
 * @param fills what is played in the gaps
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
        List<ReadingChoiceRequest> readings,
        List<PatternChoiceRequest> patterns,
        List<FillChoiceRequest> fills,
        Integer tempo,
        Integer transpose) {

    /** @param format only {@code text} */
    public record ChartRequest(String format, String source) {}

    /**
     * Limits of a hand that differ from an adult's defaults; distances in mm.
     *
     * @param comfortableMm between fingers 1 and 4; the other pairs in proportion, unless they are in {@code pairs}
     * @param shapes shapes the player has on top of those taught up to the rung
     * @param leftHanded whether grips are drawn the other way round in files; they are the same
     */
    public record PlayerRequest(
            String name,
            Double comfortableMm,
            Double widestMm,
            List<PairReach> pairs,
            Boolean thumb,
            Double changeFactor,
            List<String> shapes,
            Boolean leftHanded) {}

    /** A guitar that differs from a steel-string acoustic; lengths in mm. */
    public record GuitarRequest(Double scaleLengthMm, Double nutSpreadMm, Double bridgeSpreadMm, Integer frets) {}
}
