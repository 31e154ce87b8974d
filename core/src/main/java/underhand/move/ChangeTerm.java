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
    COMMON_TONES("common tones moved"),
    TOP_LINE("top line");

    private final String label;

    ChangeTerm(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
