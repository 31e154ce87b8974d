package underhand.settings;

/** Where fills may stand. */
public enum Filling {
    /** With a singer in the gaps between words, else anywhere. */
    BY_SETTING,
    /** Anywhere, also under words. */
    ANYWHERE,
    /** Nowhere: the space is left. */
    NOWHERE
}
