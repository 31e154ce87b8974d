package underhand.part;

/** What a note is among the others. */
public enum Voice {
    /** One of a part without a tune. */
    CHORDS,
    TUNE,
    /** Bass and inner notes under a tune. */
    UNDER_TUNE
}
