package underhand.pitch;

/** The two modes a key is named by here, with their scale in semitones above the tonic. */
public enum Mode {
    MAJOR("major", 0, 2, 4, 5, 7, 9, 11),
    /** Natural minor. */
    MINOR("minor", 0, 2, 3, 5, 7, 8, 10);

    private final String label;
    private final int[] scale;

    Mode(String label, int... scale) {
        this.label = label;
        this.scale = scale;
    }

    public String label() {
        return label;
    }

    /** Semitones of a scale step above the tonic. */
    public int semitones(int step) {
        return scale[Math.floorMod(step, scale.length)];
    }
}
