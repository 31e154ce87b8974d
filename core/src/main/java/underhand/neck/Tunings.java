package underhand.neck;

import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import underhand.pitch.Note;
import underhand.pitch.Pitch;
import underhand.table.Table;

/** Tunings by the names players give them, with {@code tunings.csv}, and by their strings' letters alone. */
final class Tunings {

    /** By the first of their names, in the order of the table. */
    private static final Map<String, Tuning> TABLE = new LinkedHashMap<>();

    private static final Pattern REMARK = Pattern.compile("\\(.*\\)|\\b(?:tuning|tuned|to)\\b|[\"']");

    private static final Map<String, Tuning> NAMED = load();

    /** What letters are the nearest pitches to, by the number of strings: those players mean when they name none. */
    private static final Map<Integer, Tuning> USUAL = Map.of(
            4, NAMED.get("bass"),
            5, NAMED.get("five string bass"),
            6, Tuning.STANDARD,
            7, NAMED.get("seven string"),
            8, NAMED.get("eight string"));

    /** {@code DADGAD}, {@code Eb Ab Db Gb Bb Eb}, {@code D-A-D-G-B-E}: letters from the lowest string on. */
    private static final Pattern LETTERS = Pattern.compile("(?:[A-Ga-g][#b♯♭]?[\\s,-]*){4,9}");

    private static final Pattern LETTER = Pattern.compile("[A-Ga-g][#b♯♭]?");

    private Tunings() {}

    private static Map<String, Tuning> load() {
        Map<String, Tuning> named = new LinkedHashMap<>();
        Table.read(Tunings.class, "tunings.csv", 3, row -> row).forEach(row -> {
            Tuning tuning = new Tuning(row.words(2).stream().map(Pitch::parse).toList());
            TABLE.put(row.cell(0), tuning);
            named.put(plain(row.cell(0)), tuning);
            Arrays.stream(row.cell(1).split("\\|"))
                    .filter(name -> !name.isEmpty())
                    .forEach(name -> named.put(name, tuning));
        });
        return named;
    }

    static Map<String, Tuning> table() {
        return Collections.unmodifiableMap(TABLE);
    }

    /** The tuning of a name or of four to eight letters; each lettered string is the pitch nearest to the usual one of so many strings. */
    static Optional<Tuning> find(String text) {
        String name = plain(text);
        return Optional.ofNullable(NAMED.get(name)).or(() -> letters(text.strip()));
    }

    private static String plain(String text) {
        return REMARK.matcher(text.toLowerCase(Locale.ROOT))
                .replaceAll(" ")
                .replace('♭', 'b')
                .replace('♯', '#')
                .strip()
                .replaceAll("\\s+", " ");
    }

    private static Optional<Tuning> letters(String text) {
        // Of EBBbBE nobody knows whether a b is a flat: letters are capitals, or all are small.
        boolean capitals = text.chars().anyMatch(Character::isUpperCase);
        String written = capitals ? text : text.toUpperCase(Locale.ROOT);
        if (text.length() > 40 || !LETTERS.matcher(written).matches()) {
            return Optional.empty();
        }
        List<String> letters =
                LETTER.matcher(written).results().map(r -> r.group()).toList();
        Tuning usual = USUAL.get(letters.size());
        if (usual == null) {
            return Optional.empty();
        }
        Pitch[] strings = new Pitch[letters.size()];
        for (int i = 0; i < strings.length; i++) {
            strings[i] = nearest(Note.parse(letters.get(i)), usual.strings().get(i));
        }
        return Optional.of(new Tuning(List.of(strings)));
    }

    private static Pitch nearest(Note note, Pitch standard) {
        int up = Math.floorMod(note.pitchClass() - standard.midi() + 6, 12) - 6;
        int midi = standard.midi() + up;
        for (int octave = 0; octave < 8; octave++) {
            Pitch pitch = Pitch.parse(note.toString() + octave);
            if (pitch.midi() == midi) {
                return pitch;
            }
        }
        throw new IllegalStateException("no octave of " + note + " is near " + standard);
    }
}
