package underhand.harmony;

/**
 * What a player wants of the harmony.
 *
 * @param rung level of the player, 1 to 5
 * @param bassElsewhere whether somebody else plays the bass
 * @param alone whether the guitar has to fill the sound by itself
 */
public record Preferences(
        int rung, boolean bassElsewhere, boolean alone, SeventhDegree seventhDegree, MinorDominant minorDominant) {

    /** What stands on the seventh degree of a major key. */
    public enum SeventhDegree {
        /** V over its third below rung 4, the diminished triad from there. */
        BY_RUNG,
        DOMINANT,
        DIMINISHED,
        MINOR
    }

    /** The ninth of a dominant that leads to a minor chord. */
    public enum MinorDominant {
        FLAT_NINE,
        NATURAL_NINE
    }

    public static Preferences ofRung(int rung) {
        return new Preferences(rung, false, true, SeventhDegree.BY_RUNG, MinorDominant.FLAT_NINE);
    }

    public Preferences withBass() {
        return new Preferences(rung, true, false, seventhDegree, minorDominant);
    }

    public Preferences with(SeventhDegree other) {
        return new Preferences(rung, bassElsewhere, alone, other, minorDominant);
    }

    public Preferences with(MinorDominant other) {
        return new Preferences(rung, bassElsewhere, alone, seventhDegree, other);
    }
}
