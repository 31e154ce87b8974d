package underhand.harmony;

/** How the grip of a chord is bound to the one after it, where a reading is only what it is called if both are played so. */
public enum Bond {
    /** Not at all. */
    FREE,
    /** One string moves by a step within the same reading, all others stay as they are. */
    ONE_VOICE,
    /** The same grip in the same fingers, a few frets along the neck, whatever the next chord is of. */
    SLIDE
}
