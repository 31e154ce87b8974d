package underhand.pitch;

import java.util.Locale;
import java.util.Objects;
import underhand.input.FormatException;

/** A key, such as A major or F♯ minor. */
public record Key(Note tonic, Mode mode) {

    /** Places of the major tonics on the circle of fifths: letters F C G D A E B from -1 to 5, an accidental is 7. */
    private static final String FIFTHS = "FCGDAEB";

    public Key {
        Objects.requireNonNull(tonic, "tonic");
        Objects.requireNonNull(mode, "mode");
    }

    /** Reads {@code A}, {@code Am}, {@code F# minor}, {@code Bb major}, {@code Ebmaj}, {@code c# min}. */
    public static Key parse(String text) {
        String trimmed = text.trim();
        String upper = trimmed.isEmpty() ? "" : trimmed.substring(0, 1).toUpperCase(Locale.ROOT) + trimmed.substring(1);
        Note.Prefix prefix = Note.readPrefix(upper)
                .orElseThrow(() ->
                        FormatException.inText("key", text, 0, "a key starts with a note, such as A or F# minor"));
        String rest = upper.substring(prefix.length()).trim();
        Mode mode = switch (rest.equals("M") ? "major" : rest.toLowerCase(Locale.ROOT)) {
            case "", "maj", "major" -> Mode.MAJOR;
            case "m", "-", "min", "minor" -> Mode.MINOR;
            default ->
                throw FormatException.inText(
                        "key", text, text.length() - rest.length(), "\"" + rest + "\" is neither major nor minor");
        };
        return new Key(prefix.note(), mode);
    }

    /** The key of this mode on a pitch class, spelled with the fewest accidentals; F♯ is preferred to G♭. */
    public static Key on(int pitchClass, Mode mode) {
        Key sharp = new Key(Note.inPitchClass(pitchClass, false), mode);
        Key flat = new Key(Note.inPitchClass(pitchClass, true), mode);
        return Math.abs(flat.fifths()) < Math.abs(sharp.fifths()) ? flat : sharp;
    }

    /** Sharps in the key signature, negative for flats. */
    public int fifths() {
        int major = FIFTHS.indexOf(tonic.letter().name().charAt(0)) - 1 + 7 * tonic.alteration();
        return mode == Mode.MAJOR ? major : major - 3;
    }

    /** Whether its notes outside the scale read better as flats. */
    public boolean prefersFlats() {
        return fifths() < 0;
    }

    /** Degree of the scale a pitch class is, from 1; 0 where it is none. */
    public int degreeOf(int pitchClass) {
        return mode.degreeOf(pitchClass - tonic.pitchClass());
    }

    /** The note a spelled scale would give a pitch class: a scale note where it is one, else by the key's side. */
    public Note spell(int pitchClass) {
        for (int step = 0; step < Mode.DEGREES; step++) {
            Letter letter = tonic.letter().up(step);
            int alteration = Math.floorMod(tonic.pitchClass() + mode.semitones(step) - letter.semitones() + 6, 12) - 6;
            if (Math.floorMod(letter.semitones() + alteration, 12) == pitchClass && Math.abs(alteration) <= 1) {
                return new Note(letter, alteration);
            }
        }
        return Note.inPitchClass(pitchClass, prefersFlats());
    }

    /** A sounding pitch as this key writes it. */
    public SpelledPitch spellPitch(int midi) {
        return SpelledPitch.of(spell(Math.floorMod(midi, 12)), midi);
    }

    /** The same key a number of semitones higher, spelled anew. */
    public Key transpose(int semitones) {
        return on(Math.floorMod(tonic.pitchClass() + semitones, 12), mode);
    }

    /** Words with glyphs, {@code F♯ minor}. */
    public String glyphs() {
        return tonic.glyphs() + " " + mode.label();
    }

    /** Words in ASCII, {@code F# minor}; {@link #parse} reads it back. */
    @Override
    public String toString() {
        return tonic + " " + mode.label();
    }
}
