package underhand.neckmap;

/**
 * Where a hand stands to play a chord or a scale.
 *
 * @param label {@code E form at 8}, or {@code root on string 6 at 8} where forms have no names
 * @param fret where the nut of the form lies; the hand is there or a fret below
 */
public record Position(String label, int fret) {}
