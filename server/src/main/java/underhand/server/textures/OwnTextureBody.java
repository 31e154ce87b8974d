package underhand.server.textures;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Objects;
import java.util.OptionalInt;
import underhand.server.platform.InputException;
import underhand.settings.TexturePlan;

/**
 * A texture a player has made.
 *
 * @param families of voicings taken first, such as drop-2; one at least
 * @param otherwise taken where a chord has no grip of those; null for none
 * @param open where open strings stand: allowed, none or bass
 * @param strings sets of strings, numbers from the highest as 1, such as 5432; null for any
 * @param voices strings a chord sounds on, 2 to 9; null for as many as there are
 * @param led whether its voices move as little as they can; null for not
 */
record OwnTextureBody(
        String name,
        List<String> families,
        @Schema(nullable = true) List<String> otherwise,
        String open,
        @Schema(nullable = true) List<String> strings,
        @Schema(nullable = true) Integer voices,
        @Schema(nullable = true) Boolean led) {

    private static final int LONGEST_NAME = 40;

    /**
     * The texture as decisions hold it.
     *
     * @throws RuntimeException naming what cannot be
     */
    String toId() {
        if (name == null || name.isBlank() || name.length() > LONGEST_NAME) {
            throw InputException.field("name", "name needs 1 to " + LONGEST_NAME + " characters.");
        }
        if (families == null || open == null) {
            throw InputException.field(
                    "families",
                    "families or open is missing; send {\"name\":\"Quartets\",\"families\":[\"drop-2\"],\"open\":\"none\"}.");
        }
        return TexturePlan.own(
                said("families", families),
                said("otherwise", otherwise),
                open,
                said("strings", strings),
                voices == null ? OptionalInt.empty() : OptionalInt.of(voices),
                Boolean.TRUE.equals(led));
    }

    private static List<String> said(String field, List<String> given) {
        if (given == null) {
            return List.of();
        }
        if (given.stream().anyMatch(Objects::isNull)) {
            throw InputException.field(field, field + " holds null; leave it out instead.");
        }
        return given;
    }
}
