package underhand.pitch;

import java.util.Objects;
import java.util.Optional;
import underhand.input.FormatException;

/**
 * A spelled note name without octave, such as F♯ or B♭.
 *
 * @param letter the letter
 * @param alteration semitones by which the accidental moves the letter, -2 (double flat) to 2 (double sharp)
 */
public record Note(Letter letter, int alteration) {

    private static final String[] ASCII = {"bb", "b", "", "#", "##"};
    private static final String[] GLYPHS = {"𝄫", "♭", "", "♯", "𝄪"};

    public Note {
        Objects.requireNonNull(letter, "letter");
        if (alteration < -2 || alteration > 2) {
            throw new IllegalArgumentException("alteration must be -2 to 2, was " + alteration);
        }
    }

    /** Reads a whole text such as {@code C}, {@code F#}, {@code Bb}, {@code E♭}, {@code Fx}, {@code Abb}. */
    public static Note parse(String text) {
        Prefix prefix = readPrefix(text)
                .orElseThrow(() -> FormatException.inText("note", text, 0, "a note starts with A to G"));
        if (prefix.length() != text.length()) {
            throw FormatException.inText(
                    "note", text, prefix.length(), "\"" + text.substring(prefix.length()) + "\" is no accidental");
        }
        return prefix.note();
    }

    /** A note read from the start of a longer text, and how many characters it took. */
    public record Prefix(Note note, int length) {}

    /** Reads the note a text starts with, longest accidental first; empty when it starts with none. */
    public static Optional<Prefix> readPrefix(String text) {
        if (text.isEmpty() || text.charAt(0) < 'A' || text.charAt(0) > 'G') {
            return Optional.empty();
        }
        Letter letter = Letter.valueOf(text.substring(0, 1));
        int at = 1;
        int alteration = 0;
        while (at < text.length()) {
            int codePoint = text.codePointAt(at);
            int step = accidental(codePoint);
            boolean changesDirection = alteration * step < 0;
            if (step == 0 || changesDirection || Math.abs(alteration + step) > 2) {
                break;
            }
            alteration += step;
            at += Character.charCount(codePoint);
        }
        return Optional.of(new Prefix(new Note(letter, alteration), at));
    }

    private static int accidental(int codePoint) {
        return switch (codePoint) {
            case '#', '♯' -> 1;
            case 'b', '♭' -> -1;
            case 'x', 0x1D12A -> 2;
            case 0x1D12B -> -2;
            default -> 0;
        };
    }

    /** Semitones above C, 0 to 11. */
    public int pitchClass() {
        return Math.floorMod(letter.semitones() + alteration, 12);
    }

    /** The note a spelled interval above, so that C plus A4 is F♯ and C plus d5 is G♭. */
    public Note plus(Interval interval) {
        Letter target = letter.up(interval.number() - 1);
        int raw = pitchClass() + interval.semitones() - target.semitones();
        int needed = Math.floorMod(raw + 6, 12) - 6;
        if (needed < -2 || needed > 2) {
            return inPitchClass(Math.floorMod(pitchClass() + interval.semitones(), 12), needed > 0);
        }
        return new Note(target, needed);
    }

    /** The plain name of a pitch class: a natural where there is one, else a flat or a sharp. */
    public static Note inPitchClass(int pitchClass, boolean flats) {
        for (Letter letter : Letter.values()) {
            if (letter.semitones() == pitchClass) {
                return new Note(letter, 0);
            }
        }
        return flats
                ? new Note(natural(Math.floorMod(pitchClass + 1, 12)), -1)
                : new Note(natural(Math.floorMod(pitchClass - 1, 12)), 1);
    }

    private static Letter natural(int pitchClass) {
        for (Letter letter : Letter.values()) {
            if (letter.semitones() == pitchClass) {
                return letter;
            }
        }
        throw new IllegalArgumentException("pitch class " + pitchClass + " is no natural note");
    }

    /** The name with real music glyphs, {@code F♯}. */
    public String glyphs() {
        return letter + GLYPHS[alteration + 2];
    }

    /** The name in ASCII, {@code F#}; {@link #parse} reads it back. */
    @Override
    public String toString() {
        return letter + ASCII[alteration + 2];
    }
}
