package underhand.move;

/** The named terms the effort of a change is the sum of. */
public enum ChangeTerm {
    SLIDES("slides"),
    TRAVELS("travels"),
    LANDS("lands"),
    LIFTS("lifts"),
    SHIFT("hand shift"),
    BARRE("barre set"),
    CROSSING("fingers crossing"),
    TOGETHER("nothing rests"),
    LATE("late"),
    /** Semitones the voices move. */
    VOICES("voice leading"),
    /** The same where they are to move as little as they can: it decides between grips and is no effort of the hand. */
    LED("voices led"),
    /** How far the highest voice is from the way that is wished of it; no effort of the hand either. */
    WISHED_TOP("wished top"),
    COMMON_TONES("common tones moved"),
    TOP_LINE("top line");

    private final String label;

    ChangeTerm(String label) {
        this.label = label;
    }

    /** Whether it is a wish of the player, not something the hand or the ear pays for. */
    public boolean isWish() {
        return this == LED || this == WISHED_TOP;
    }

    public String label() {
        return label;
    }
}
