package underhand.server.players;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import underhand.harmony.Stance.MinorDominant;
import underhand.harmony.Stance.SeventhDegree;
import underhand.picking.School;
import underhand.server.platform.InputException;
import underhand.settings.HouseRules;
import underhand.settings.HouseRules.Filling;
import underhand.settings.HouseRules.Fullness;
import underhand.settings.HouseRules.MajorBarre;

/**
 * The house rules somebody decided; what is missing keeps its default, or the player's own stand.
 *
 * @param capo whether a capo may be used
 * @param thumb whether the thumb may stop the lowest string
 * @param majorBarre how an A-shape major is stopped
 * @param fullness whole chords or parts, or as the setting wants it
 * @param ring -1 dry to 1 ringing
 * @param motion -1 a still top line to 1 a moving one
 * @param seventhDegree what stands on the seventh degree of a major key
 * @param minorDominant the ninth of a dominant before a minor chord
 * @param repeatsAlike whether what is repeated is played like the first time
 * @param pickingHand which finger of the right hand takes which string
 * @param filling where fills may stand
 */
public record HouseRulesRequest(
        @Schema(nullable = true) Boolean capo,
        @Schema(nullable = true) Boolean thumb,

        @Schema(
                nullable = true,
                allowableValues = {"either", "barre", "fingertips"})
        String majorBarre,

        @Schema(
                nullable = true,
                allowableValues = {"by_setting", "whole", "parts"})
        String fullness,

        @Schema(nullable = true) Double ring,
        @Schema(nullable = true) Double motion,

        @Schema(
                nullable = true,
                allowableValues = {"by_rung", "dominant", "diminished", "minor"})
        String seventhDegree,

        @Schema(
                nullable = true,
                allowableValues = {"flat_nine", "natural_nine"})
        String minorDominant,

        @Schema(nullable = true) Boolean repeatsAlike,

        @Schema(
                nullable = true,
                allowableValues = {"pima", "thumb_led"})
        String pickingHand,

        @Schema(
                nullable = true,
                allowableValues = {"by_setting", "anywhere", "nowhere"})
        String filling) {

    /** Nothing decided. */
    public static final HouseRulesRequest NONE =
            new HouseRulesRequest(null, null, null, null, null, null, null, null, null, null, null);

    /** @throws RuntimeException naming the rule that is out of range */
    public HouseRules toRules() {
        HouseRules usual = HouseRules.DEFAULT;
        return new HouseRules(
                orElse(ring, usual.ring()),
                orElse(motion, usual.motion()),
                orElse(repeatsAlike, usual.repeatsAlike()),
                orElse(capo, usual.capo()),
                side("majorBarre", majorBarre, MajorBarre.values(), usual.majorBarre()),
                side("fullness", fullness, Fullness.values(), usual.fullness()),
                side("seventhDegree", seventhDegree, SeventhDegree.values(), usual.seventhDegree()),
                side("minorDominant", minorDominant, MinorDominant.values(), usual.minorDominant()),
                side("pickingHand", pickingHand, School.values(), usual.pickingHand()),
                side("filling", filling, Filling.values(), usual.filling()));
    }

    private static <T> T orElse(T value, T otherwise) {
        return Optional.ofNullable(value).orElse(otherwise);
    }

    private static <E extends Enum<E>> E side(String field, String id, E[] sides, E usual) {
        if (id == null) {
            return usual;
        }
        return Arrays.stream(sides)
                .filter(s -> s.name().toLowerCase(Locale.ROOT).equals(id))
                .findFirst()
                .orElseThrow(() -> InputException.field(
                        field,
                        field + " must be one of "
                                + String.join(
                                        ", ",
                                        Arrays.stream(sides)
                                                .map(s -> s.name().toLowerCase(Locale.ROOT))
                                                .toList())
                                + ", was \"" + id + "\"."));
    }
}
