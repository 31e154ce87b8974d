package underhand.arrange;

/**
 * The player's stand where good players disagree.
 *
 * @param ring -1 dry (no open strings) to 1 ringing (open strings sought, also under a hand up the neck); 0 is neutral
 * @param motion -1 a still top line to 1 a moving one; 0 is neutral
 * @param repeatsAlike whether what is repeated is played like the first time
 */
public record HouseRules(double ring, double motion, boolean repeatsAlike) {

    public static final HouseRules DEFAULT = new HouseRules(0, 0, true);

    public HouseRules {
        inRange("ring", ring);
        inRange("motion", motion);
    }

    private static void inRange(String field, double value) {
        if (!(value >= -1 && value <= 1)) {
            throw new IllegalArgumentException(field + " must be -1 to 1, was " + value);
        }
    }

    public HouseRules withRing(double other) {
        return new HouseRules(other, motion, repeatsAlike);
    }

    public HouseRules withMotion(double other) {
        return new HouseRules(ring, other, repeatsAlike);
    }

    public HouseRules withRepeatsAlike(boolean other) {
        return new HouseRules(ring, motion, other);
    }
}
