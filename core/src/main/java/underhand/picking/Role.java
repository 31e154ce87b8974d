package underhand.picking;

/** What a string is to the right hand, whatever the grip: the letter stands for it in a pattern's steps. */
public enum Role {
    /** The lowest string that sounds. */
    ROOT('r', "root"),
    /** Another bass string: the fifth of the chord, else its third; the root where the grip has no other. */
    OTHER_BASS('b', "other bass"),
    LOW('l', "low treble"),
    MIDDLE('m', "middle treble"),
    HIGH('h', "high treble");

    private final char letter;
    private final String label;

    Role(char letter, String label) {
        this.letter = letter;
        this.label = label;
    }

    public char letter() {
        return letter;
    }

    public String label() {
        return label;
    }

    /**
     * What a string is that a full grip would sound.
     *
     * @param number 1 for the highest string
     */
    public static Role ofString(int number) {
        return switch (number) {
            case 1 -> HIGH;
            case 2 -> MIDDLE;
            case 3 -> LOW;
            default -> ROOT;
        };
    }

    public boolean isBass() {
        return this == ROOT || this == OTHER_BASS;
    }
}
