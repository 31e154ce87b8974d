package underhand.server.shapes;

import io.swagger.v3.oas.annotations.media.Schema;
import underhand.settings.TexturePlan;

/**
 * What is wished of every grip, whatever the texture.
 *
 * @param strings numbers of the strings that may sound, from the highest as 1, such as 4321; all when missing
 * @param fromFret lowest fret a finger presses; open strings lie outside unless it is 1
 * @param toFret highest fret a finger presses
 * @param noDoubling whether no two strings sound the same note of the chord
 * @param top how the highest voice shall go
 */
public record WishesRequest(
        @Schema(nullable = true) String strings,
        @Schema(nullable = true) Integer fromFret,
        @Schema(nullable = true) Integer toFret,
        @Schema(nullable = true) Boolean noDoubling,

        @Schema(
                nullable = true,
                allowableValues = {"stays", "falls", "rises", "half-steps"})
        String top) {

    public static final WishesRequest NONE = new WishesRequest(null, null, null, null, null);

    /** @throws RuntimeException naming the wish that cannot be */
    public TexturePlan.Wished toWished() {
        return new TexturePlan.Wished(strings, fromFret, toFret, noDoubling, top);
    }
}
