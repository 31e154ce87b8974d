package underhand.hand;

/**
 * What keeps a string silent.
 *
 * @param string index of the silent string
 * @param finger finger that leans on it, 1 to 4 or {@link Grip#THUMB}; 0 when the picking hand leaves it out
 */
public record Damping(int string, int finger) {

    /** Value of {@link #finger} when no finger touches the string: the picking hand leaves it out. */
    public static final int PICKING_HAND = 0;

    /** {@code 1} to {@code 4}, {@code T}, or {@code pick} when the picking hand leaves the string out. */
    public String by() {
        return finger == PICKING_HAND ? "pick" : finger == Grip.THUMB ? "T" : Integer.toString(finger);
    }
}
