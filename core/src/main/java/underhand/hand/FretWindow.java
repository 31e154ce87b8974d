package underhand.hand;

/**
 * The frets a chord frame shows: from the nut where they are near it, else from the lowest finger.
 *
 * @param first fret of the first row, counted from the capo
 * @param frets how many rows there are
 */
public record FretWindow(int first, int frets) {

    private static final int FEWEST = 4;

    /** The window of a grip. */
    public static FretWindow of(Grip grip) {
        int lowest = grip.holds().stream().mapToInt(Hold::fret).min().orElse(1);
        int highest = Math.max(0, grip.shape().highestFret());
        int first = highest <= FEWEST ? 1 : lowest;
        return new FretWindow(first, Math.max(FEWEST, highest - first + 1));
    }

    /** Whether the frame begins at the nut, or at the capo. */
    public boolean atNut() {
        return first == 1;
    }
}
