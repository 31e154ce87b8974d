package underhand.pitch;

/** The two modes a key is named by here, with their scale in semitones above the tonic. */
public enum Mode {
    MAJOR("major", 0, 2, 4, 5, 7, 9, 11),
    /** Natural minor. */
    MINOR("minor", 0, 2, 3, 5, 7, 8, 10);

    /** Degrees of a scale. */
    public static final int DEGREES = 7;

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

    /** Degree of the scale that lies so many semitones above the tonic, in any octave, from 1; 0 where none does. */
    public int degreeOf(int semitones) {
        int above = Math.floorMod(semitones, 12);
        for (int step = 0; step < DEGREES; step++) {
            if (scale[step] == above) {
                return step + 1;
            }
        }
        return 0;
    }
}
