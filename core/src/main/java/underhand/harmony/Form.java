package underhand.harmony;

/**
 * How much of a chord is asked for, where a reading wants less or something special of it.
 *
 * @param pitchClass the note that {@link Kind#TOP} and {@link Kind#INSIDE} are about; -1 otherwise
 * @param string number of the string that note is on, from the highest as 1; 0 for any
 */
public record Form(Kind kind, int pitchClass, int string) {

    /** Kinds of forms. */
    public enum Kind {
        /** The chord as the setting wants it. */
        WHOLE,
        /** Three neighbouring strings. */
        PART,
        /** The root low and the third a tenth above it. */
        TENTH,
        /** Third and seventh alone. */
        GUIDE_TONES,
        /** No full barre. */
        FRAGMENT,
        /** No open strings, so that the grip can slide. */
        MOVABLE,
        /** A certain note on top. */
        TOP,
        /** A certain note neither lowest nor on top. */
        INSIDE;

        /** Whether it is a kind of grip by itself, and so of no texture. */
        public boolean isOfItsOwn() {
            return this == PART || this == TENTH || this == GUIDE_TONES;
        }
    }

    public static final Form WHOLE = new Form(Kind.WHOLE, -1, 0);

    static Form of(Kind kind) {
        return new Form(kind, -1, 0);
    }
}
