package underhand.arrange;

/**
 * How a part should sound, where good players differ. 0 is neutral.
 *
 * @param ring -1 dry (no open strings) to 1 ringing (open strings sought, also under a hand up the neck)
 * @param motion -1 a still top line to 1 a moving one
 */
public record Taste(double ring, double motion) {

    public static final Taste NEUTRAL = new Taste(0, 0);

    public Taste {
        inRange("ring", ring);
        inRange("motion", motion);
    }

    private static void inRange(String field, double value) {
        if (!(value >= -1 && value <= 1)) {
            throw new IllegalArgumentException(field + " must be -1 to 1, was " + value);
        }
    }
}
