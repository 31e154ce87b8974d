package underhand.harmony;

/**
 * What a player wants of the harmony.
 *
 * @param rung level of the player, 1 to 5
 * @param bassElsewhere whether somebody else plays the bass
 * @param alone whether the guitar has to fill the sound by itself
 */
public record Stance(
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

    public static Stance ofRung(int rung) {
        return new Stance(rung, false, true, SeventhDegree.BY_RUNG, MinorDominant.FLAT_NINE);
    }

    public Stance withBass() {
        return new Stance(rung, true, false, seventhDegree, minorDominant);
    }

    public Stance with(SeventhDegree other) {
        return new Stance(rung, bassElsewhere, alone, other, minorDominant);
    }

    public Stance with(MinorDominant other) {
        return new Stance(rung, bassElsewhere, alone, seventhDegree, other);
    }
}
