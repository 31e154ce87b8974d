package underhand.server.arrangements;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;

/**
 * Who plays a second guitar beside the first.
 *
 * @param playerId null for an adult hand
 * @param guitarId null for a steel-string acoustic
 * @param capo null for the fret with the least effort
 * @param patterns what its right hand plays; null for what the first guitar's does
 * @param texture the kind of part; one that leaves the first guitar its room when null or auto
 * @param solo how it plays the tune; null where it plays chords
 */
public record SecondGuitar(
        int rung,
        @Schema(nullable = true) Integer capo,
        @Schema(nullable = true) Long playerId,
        @Schema(nullable = true) Long guitarId,
        @Schema(nullable = true) List<PatternChoiceRequest> patterns,
        @Schema(nullable = true) String texture,
        @Schema(nullable = true) SoloRequest solo) {}
