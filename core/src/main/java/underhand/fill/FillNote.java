package underhand.fill;

/**
 * A note of a fill.
 *
 * @param from beats after the start of the place it belongs to
 * @param string index from the lowest
 * @param fret above the capo
 * @param finger of the left hand: 0 for an open string, 1 to 4, 5 for the thumb
 * @param chromatic whether it is outside the key, an approach to the note after it
 */
public record FillNote(
        double from, double beats, int string, int fret, int finger, Technique technique, boolean chromatic) {}
