package underhand.server.arrangements;

import com.fasterxml.jackson.databind.JsonNode;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import underhand.server.players.GuitarRequest;
import underhand.server.players.HouseRulesRequest;
import underhand.server.players.PlayerRequest;
import underhand.server.shapes.WishesRequest;

/**
 * What to arrange, for whom. A song's decisions with its chart beside them are one.
 *
 * @param capo {@code "auto"} or a fret from 0 to 11; auto when missing or null
 * @param tuning strings low to high; the chart's own, or the guitar's where that is no standard one, when missing
 * @param playerId a stored player, in place of the values in {@code player}; an adult hand when neither is sent
 * @param guitarId a stored guitar, in place of the values in {@code guitar}; a steel-string acoustic when neither is sent
 * @param houseRules what this song does otherwise than its player
 * @param patterns what the right hand plays; chosen with the part where it is left open
 * @param fills what is played in the gaps
 * @param tempo beats a minute; the chart's own when missing or null
 * @param transpose semitones the whole song is moved by, -11 to 11; 0 when missing
 * @param voice range of the singer, where it is known
 * @param texture the kind of part; chosen from the chart when missing or {@code auto}
 * @param textures other kinds for sections and single chords
 * @param wishes what is wished of every grip besides
 * @param solo how the tune is played on top of the chords; missing where it is left to somebody else
 * @param octave octave of that tune, in place of the one in {@code solo}
 * @param second who plays beside the first guitar, for calls that ask for a second one
 */
public record PreviewRequest(
        ChartRequest chart,
        Integer rung,
        String setting,

        @Schema(type = "string", example = "auto", nullable = true)
        JsonNode capo,

        String tuning,
        @Schema(nullable = true) Long playerId,
        PlayerRequest player,
        @Schema(nullable = true) Long guitarId,
        GuitarRequest guitar,
        HouseRulesRequest houseRules,
        List<LockRequest> locks,
        List<ReadingChoiceRequest> readings,
        List<PatternChoiceRequest> patterns,
        List<FillChoiceRequest> fills,
        @Schema(nullable = true) Integer tempo,
        Integer transpose,
        @Schema(nullable = true) RangeRequest voice,

        @Schema(nullable = true, example = "auto") String texture,

        List<TextureRequest> textures,
        @Schema(nullable = true) WishesRequest wishes,
        @Schema(nullable = true) SoloRequest solo,

        @Schema(type = "string", example = "auto", nullable = true)
        JsonNode octave,

        @Schema(nullable = true) SecondGuitar second) {

    /** The same with the tune on top of the chords. */
    PreviewRequest onTop() {
        return with(rung, playerId, solo == null ? SoloRequest.OPEN : solo);
    }

    /** The same for another player, on a rung of theirs. */
    public PreviewRequest by(long otherPlayer, int otherRung) {
        return with(otherRung, otherPlayer, solo);
    }

    private PreviewRequest with(Integer otherRung, Long otherPlayer, SoloRequest otherSolo) {
        return new PreviewRequest(
                chart,
                otherRung,
                setting,
                capo,
                tuning,
                otherPlayer,
                player,
                guitarId,
                guitar,
                houseRules,
                locks,
                readings,
                patterns,
                fills,
                tempo,
                transpose,
                voice,
                texture,
                textures,
                wishes,
                otherSolo,
                octave,
                second);
    }

    /** @param format only {@code text} */
    public record ChartRequest(String format, String source) {}
}
