package underhand.format.score;

/** Which way round necks and grips are drawn: for a left-handed player the lowest string stands at the right. */
public enum Handedness {
    RIGHT,
    LEFT;

    /** @param left whether the player is left-handed; null for one who is not */
    public static Handedness of(Boolean left) {
        return Boolean.TRUE.equals(left) ? LEFT : RIGHT;
    }

    /** Place of a string in a drawing, from the left, from 0. */
    public int column(int string, int strings) {
        return this == LEFT ? strings - 1 - string : string;
    }
}
