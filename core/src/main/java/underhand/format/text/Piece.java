package underhand.format.text;

/**
 * A piece of a line that has chords.
 *
 * @param at index in the line as it looks
 * @param token what stands where a chord may stand; null for the other kinds
 * @param glued whether a chord stands in one word with the chord before it
 */
record Piece(Kind kind, String text, int at, ChordToken token, boolean glued) {

    enum Kind {
        CHORD,
        /** Meant as a chord and not read; it takes its share of the bars. */
        UNREAD,
        /** A word among chords that is none; it takes no share. */
        ODD,
        WORDS,
        BAR,
        OPEN_REPEAT,
        CLOSE_REPEAT,
        /** A repeat closes and the next opens. */
        TURN_REPEAT,
        /** One more beat for the chord before it. */
        BEAT,
        /** A beat drawn in one word with its chord: {@code C////}. */
        STROKE,
        /** A dash: a beat where that fills the bar, and else nothing. */
        DASH,
        SAME_BAR,
        ENDING,
        TIMES,
        METRE,
        /** A jump that is said and not played, such as D.C. al Fine. */
        DIRECTION;

        boolean isBar() {
            return this == BAR || this == OPEN_REPEAT || this == CLOSE_REPEAT || this == TURN_REPEAT;
        }
    }

    static Piece of(Kind kind, String text, int at) {
        return new Piece(kind, text, at, null, false);
    }

    static Piece chord(ChordToken token, int at, boolean glued) {
        return new Piece(Kind.CHORD, token.text(), at, token, glued);
    }

    int end() {
        return at + text.length();
    }
}
