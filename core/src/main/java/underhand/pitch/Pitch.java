package underhand.pitch;

import java.util.Optional;
import underhand.input.FormatException;

/**
 * A sounding pitch, such as E2, the open low string of a guitar.
 *
 * @param midi MIDI note number, 0 to 127; C4 is 60
 */
public record Pitch(int midi) implements Comparable<Pitch> {

    private static final int A4 = 69;
    private static final double A4_HZ = 440.0;

    public Pitch {
        if (midi < 0 || midi > 127) {
            throw new IllegalArgumentException("midi must be 0 to 127, was " + midi);
        }
    }

    public static Pitch ofMidi(int midi) {
        return new Pitch(midi);
    }

    /** Reads scientific pitch notation: {@code E2}, {@code F#3}, {@code Bb1}. The octave counts from C. */
    public static Pitch parse(String text) {
        Optional<Note.Prefix> prefix = Note.readPrefix(text);
        if (prefix.isEmpty()) {
            throw FormatException.inText("pitch", text, 0, "a pitch is a note and an octave, such as E2");
        }
        int at = prefix.get().length();
        String octave = text.substring(at);
        if (!octave.matches("-?[0-9]")) {
            throw FormatException.inText("pitch", text, at, "a pitch ends with its octave, such as the 2 of E2");
        }
        Note note = prefix.get().note();
        int midi = 12 * (Integer.parseInt(octave) + 1) + note.letter().semitones() + note.alteration();
        if (midi < 0 || midi > 127) {
            throw FormatException.inText("pitch", text, at, "octave out of range");
        }
        return new Pitch(midi);
    }

    public int pitchClass() {
        return midi % 12;
    }

    /** Frequency in hertz in equal temperament at A4 = 440 Hz (ISO 16:1975). */
    public double frequencyHz() {
        return A4_HZ * Math.pow(2, (midi - A4) / 12.0);
    }

    /** Its name with octave as a key spells it, such as {@code Bb4}. */
    public String name(Key key) {
        return Note.inPitchClass(pitchClass(), key.prefersFlats()) + Integer.toString(midi / 12 - 1);
    }

    public Pitch plus(int semitones) {
        return new Pitch(midi + semitones);
    }

    @Override
    public int compareTo(Pitch other) {
        return Integer.compare(midi, other.midi);
    }

    /** Scientific notation with sharps, {@code F#3}; {@link #parse} reads it back. */
    @Override
    public String toString() {
        return Note.inPitchClass(pitchClass(), false) + Integer.toString(midi / 12 - 1);
    }
}
