package underhand.pitch;

/** The seven note letters with their natural pitch class (semitones above C). */
public enum Letter {
    C(0),
    D(2),
    E(4),
    F(5),
    G(7),
    A(9),
    B(11);

    private static final Letter[] ALL = values();

    private final int semitones;

    Letter(int semitones) {
        this.semitones = semitones;
    }

    /** Semitones of the natural note above C, 0 to 11. */
    public int semitones() {
        return semitones;
    }

    /** The letter a number of steps up (or down, when negative), wrapping: {@code B.up(1)} is C. */
    public Letter up(int steps) {
        int at = 0;
        while (ALL[at] != this) {
            at++;
        }
        return ALL[Math.floorMod(at + steps, ALL.length)];
    }
}
