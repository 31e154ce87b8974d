package underhand.pitch;

/**
 * A pitch as it is written: F♯4 and G♭4 sound alike, and stand on different lines.
 *
 * @param octave in scientific notation, that of its letter: C♭4 sounds as B3
 */
public record SpelledPitch(Note note, int octave) {

    private static final int LETTERS = 7;

    /** A note that sounds as a MIDI number. */
    public static SpelledPitch of(Note note, int midi) {
        return new SpelledPitch(note, Math.floorDiv(midi - note.alteration(), 12) - 1);
    }

    /** Lines and spaces above C0. */
    public int step() {
        return LETTERS * octave + note.letter().ordinal();
    }

    /** Scientific notation, {@code F#4}. */
    @Override
    public String toString() {
        return note.toString() + octave;
    }
}
