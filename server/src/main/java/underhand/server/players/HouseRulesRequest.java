package underhand.server.players;

import underhand.arrange.HouseRules;

/**
 * The house rules somebody decided; what is missing keeps its default, or the player's own stand.
 *
 * @param thumb whether the thumb may stop the lowest string
 * @param ring -1 dry to 1 ringing
 * @param motion -1 a still top line to 1 a moving one
 * @param repeatsAlike whether what is repeated is played like the first time
 */
public record HouseRulesRequest(Boolean thumb, Double ring, Double motion, Boolean repeatsAlike) {

    /** Nothing decided. */
    public static final HouseRulesRequest NONE = new HouseRulesRequest(null, null, null, null);

    /** @throws IllegalArgumentException naming the rule that is out of range */
    public HouseRules toRules() {
        HouseRules rules = HouseRules.DEFAULT;
        rules = ring == null ? rules : rules.withRing(ring);
        rules = motion == null ? rules : rules.withMotion(motion);
        return repeatsAlike == null ? rules : rules.withRepeatsAlike(repeatsAlike);
    }
}
