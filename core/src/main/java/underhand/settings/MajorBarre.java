package underhand.settings;

/** How three neighbouring strings on one fret are stopped, as in the A shape of a major chord. */
public enum MajorBarre {
    /** Whichever costs less. */
    EITHER,
    /** One finger across. */
    BARRE,
    /** A fingertip on each. */
    FINGERTIPS
}
