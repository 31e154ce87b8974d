package underhand.chord;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import underhand.input.FormatException;
import underhand.pitch.Interval;
import underhand.pitch.Key;
import underhand.pitch.Note;

/**
 * A chord as it is written: root, type and, for a slash chord, the bass under it. Example: {@code F#m7b5/A}.
 *
 * @param bass the note after the slash; empty when the root is meant
 */
public record ChordSymbol(Note root, ChordType type, Optional<Note> bass) {

    /** Longest text looked at: no chord name is longer. */
    private static final int LONGEST = 40;

    /** A tone of the chord with the interval that puts it there. */
    public record Tone(Note note, Interval interval) {}

    public ChordSymbol {
        Objects.requireNonNull(root, "root");
        Objects.requireNonNull(type, "type");
        if (bass.isPresent() && bass.get().equals(root)) {
            bass = Optional.empty();
        }
    }

    /**
     * Reads a chord symbol in any of the usual spellings, ASCII or glyphs: {@code C}, {@code C-7}, {@code CΔ},
     * {@code C7(b9,#11)}, {@code C6/9}, {@code B♭m7/A♭}.
     *
     * @throws FormatException when it is no chord, with the index of the first character that does not fit
     */
    public static ChordSymbol parse(String text) {
        if (text.length() > LONGEST) {
            throw FormatException.inText(
                    "chord symbol", text, LONGEST, "a chord symbol has at most " + LONGEST + " characters");
        }
        String trimmed = text.trim();
        Note.Prefix prefix = Note.readPrefix(trimmed)
                .orElseThrow(
                        () -> FormatException.inText("chord symbol", text, 0, "a chord starts with its root, A to G"));
        int slash = slashBefore(trimmed, prefix.length());
        int end = slash < 0 ? trimmed.length() : slash;
        ChordType type = new SuffixReader(trimmed, prefix.length(), end).read();
        Optional<Note> bass = slash < 0 ? Optional.empty() : Optional.of(Note.parse(trimmed.substring(slash + 1)));
        return new ChordSymbol(prefix.note(), type, bass);
    }

    /** The symbol a text holds, or empty when it is no chord. */
    public static Optional<ChordSymbol> tryParse(String text) {
        try {
            return Optional.of(parse(text));
        } catch (FormatException e) {
            return Optional.empty();
        }
    }

    /** Index of the slash that a bass note follows; -1 when there is none. The slash of 6/9 is not one. */
    private static int slashBefore(String text, int from) {
        int slash = text.lastIndexOf('/');
        if (slash < from || slash == text.length() - 1) {
            return -1;
        }
        String after = text.substring(slash + 1);
        return Note.readPrefix(after).filter(p -> p.length() == after.length()).isPresent() ? slash : -1;
    }

    /** The tones above the root, in the order of their intervals; the slash bass is not among them. */
    public List<Tone> tones() {
        return type.intervals().stream().map(i -> new Tone(root.plus(i), i)).toList();
    }

    /** The lowest note asked for: the slash bass, or the root. */
    public Note lowest() {
        return bass.orElse(root);
    }

    /** The chord a number of semitones higher, spelled as the key wants it. */
    public ChordSymbol transpose(int semitones, Key key) {
        return new ChordSymbol(
                key.spell(Math.floorMod(root.pitchClass() + semitones, 12)),
                type,
                bass.map(b -> key.spell(Math.floorMod(b.pitchClass() + semitones, 12))));
    }

    public ChordSymbol withoutBass() {
        return new ChordSymbol(root, type, Optional.empty());
    }

    /** As a musician reads it, with real glyphs: {@code F♯m7♭5/A}. */
    public String glyphs() {
        return root.glyphs() + type.glyphs() + bass.map(b -> "/" + b.glyphs()).orElse("");
    }

    /** In ASCII; {@link #parse} reads it back. */
    @Override
    public String toString() {
        return root + type.suffix() + bass.map(b -> "/" + b).orElse("");
    }
}
