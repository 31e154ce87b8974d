package underhand.practice;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import underhand.hand.FingersReader;
import underhand.hand.Grip;
import underhand.input.RangeException;
import underhand.neck.Fretboard;
import underhand.neck.Guitar;
import underhand.neck.Shape;
import underhand.neck.Tuning;
import underhand.practice.DrillKind.About;

/**
 * Which drill it is, the same in every song: what is done, with which grips or notes, on which strings. {@link #toString} writes what
 * {@link #parse} reads: {@code anchor:x32010/-32-1->x02210/--231-@0 E2 A2 ...}, {@code slid:x13331/-13331@0 E2 ...}, {@code
 * tune:5.3-4.0-4.2@0 E2 ...}, {@code pattern:ballad}.
 *
 * @param from shape and fingers, {@code x32010/-32-1-}; notes as string and fret, the highest string being 1; or the id of a pattern
 * @param to shape and fingers; empty but for a change
 * @param capo fret the strings are stopped at
 */
record DrillId(DrillKind kind, String from, Optional<String> to, int capo, Tuning tuning) {

    private static final int LONGEST = 300;

    /** Notes that an id tells apart: a passage with the same beginning is the same. */
    private static final int MOST_NOTES = 24;

    static DrillId of(DrillKind kind, Grip from, Grip to, Fretboard board) {
        return new DrillId(kind, text(from), Optional.of(text(to)), board.capo(), board.tuning());
    }

    static DrillId of(DrillKind kind, Grip grip, Fretboard board) {
        return new DrillId(kind, text(grip), Optional.empty(), board.capo(), board.tuning());
    }

    static DrillId ofPattern(String pattern) {
        return new DrillId(DrillKind.PATTERN, pattern, Optional.empty(), 0, Tuning.STANDARD);
    }

    static DrillId ofNotes(DrillKind kind, List<Drill.Note> notes, Fretboard board) {
        String from = notes.stream()
                .limit(MOST_NOTES)
                .map(note -> board.strings() - note.string() + "." + note.fret())
                .collect(Collectors.joining("-"));
        return new DrillId(kind, from, Optional.empty(), board.capo(), board.tuning());
    }

    private static String text(Grip grip) {
        return grip.shape() + "/" + grip.fingers();
    }

    /** What a drill is about, whatever is done with it: from which grip to which, on which strings. */
    static String changeOf(String drill) {
        return drill.substring(drill.indexOf(':') + 1);
    }

    /** @throws RuntimeException saying what of it cannot be read */
    static DrillId parse(String text) {
        int colon = text.indexOf(':');
        if (colon < 0 || text.length() > LONGEST) {
            throw RangeException.outside(
                    "drill", text.substring(0, Math.min(60, text.length())), "one that a plan has given");
        }
        DrillKind kind = DrillKind.parse(text.substring(0, colon));
        String rest = text.substring(colon + 1);
        if (kind.about() == About.HAND) {
            return ofPattern(rest);
        }
        int at = rest.lastIndexOf('@');
        int blank = rest.indexOf(' ', Math.max(0, at));
        int arrow = kind.about() == About.CHANGE ? rest.indexOf('>') : at;
        if (at < 0
                || arrow < 0
                || at < arrow
                || blank < 0
                || !rest.substring(at + 1, blank).matches("[0-9]{1,2}")) {
            throw RangeException.outside("drill", text, "one that a plan has given");
        }
        DrillId id = new DrillId(
                kind,
                rest.substring(0, arrow),
                kind.about() == About.CHANGE ? Optional.of(rest.substring(arrow + 1, at)) : Optional.empty(),
                Integer.parseInt(rest.substring(at + 1, blank)),
                Tuning.parse(rest.substring(blank + 1)));
        id.check();
        return id;
    }

    private void check() {
        if (kind.about() == About.NOTES) {
            if (!from.matches("[1-9][0-9]?[.][0-9]{1,2}(-[1-9][0-9]?[.][0-9]{1,2})*")) {
                throw RangeException.outside("drill", from, "strings and frets, such as 5.3-4.0");
            }
            return;
        }
        grip(from);
        to.ifPresent(this::grip);
    }

    /** The grip that is left, or the only one; empty where there is none. */
    Optional<Grip> left() {
        return kind.about() == About.CHANGE || kind.about() == About.GRIP ? Optional.of(grip(from)) : Optional.empty();
    }

    /** The grip that is reached; empty but for a change. */
    Optional<Grip> reached() {
        return to.map(this::grip);
    }

    Fretboard board() {
        return new Fretboard(Guitar.ACOUSTIC, tuning, capo);
    }

    private Grip grip(String text) {
        int slash = text.indexOf('/');
        if (slash < 0) {
            throw RangeException.outside("drill", text, "a shape and its fingers, such as x32010/-32-1-");
        }
        Shape shape = Shape.parse(text.substring(0, slash));
        Fretboard board = board();
        if (shape.strings() != board.strings() || shape.highestFret() > board.frets()) {
            throw RangeException.outside("drill", text, "a shape of its tuning");
        }
        return FingersReader.read(shape, text.substring(slash + 1), board);
    }

    @Override
    public String toString() {
        return kind.about() == About.HAND
                ? kind.id() + ":" + from
                : kind.id() + ":" + from + to.map(t -> ">" + t).orElse("") + "@" + capo + " " + tuning;
    }
}
