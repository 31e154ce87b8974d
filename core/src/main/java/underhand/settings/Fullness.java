package underhand.settings;

/** How much of a chord a grip holds. */
public enum Fullness {
    BY_SETTING,
    WHOLE,
    PARTS
}
