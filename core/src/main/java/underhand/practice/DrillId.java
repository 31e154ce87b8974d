package underhand.practice;

import java.util.Optional;
import underhand.hand.FingersReader;
import underhand.hand.Grip;
import underhand.input.RangeException;
import underhand.neck.Fretboard;
import underhand.neck.Guitar;
import underhand.neck.Shape;
import underhand.neck.Tuning;

/**
 * Which drill it is, the same in every song: what is done, from which grip to which, on which strings. A pattern of the right hand
 * has no grips. {@link #toString} writes what {@link #parse} reads, such as {@code anchor:x32010/-32-1->x02210/--231-@0 E2 A2 ...}.
 *
 * @param from shape and fingers, {@code x32010/-32-1-}, or the id of a pattern
 * @param to shape and fingers; empty for a pattern
 * @param capo fret the strings are stopped at
 */
record DrillId(DrillKind kind, String from, Optional<String> to, int capo, Tuning tuning) {

    private static final int LONGEST = 300;

    static DrillId of(DrillKind kind, Grip from, Grip to, Fretboard board) {
        return new DrillId(kind, text(from), Optional.of(text(to)), board.capo(), board.tuning());
    }

    static DrillId ofPattern(String pattern) {
        return new DrillId(DrillKind.PATTERN, pattern, Optional.empty(), 0, Tuning.STANDARD);
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
        if (kind == DrillKind.PATTERN) {
            return ofPattern(rest);
        }
        int arrow = rest.indexOf('>');
        int at = rest.lastIndexOf('@');
        int blank = rest.indexOf(' ', Math.max(0, at));
        if (arrow < 0
                || at < arrow
                || blank < 0
                || !rest.substring(at + 1, blank).matches("[0-9]{1,2}")) {
            throw RangeException.outside("drill", text, "one that a plan has given");
        }
        DrillId id = new DrillId(
                kind,
                rest.substring(0, arrow),
                Optional.of(rest.substring(arrow + 1, at)),
                Integer.parseInt(rest.substring(at + 1, blank)),
                Tuning.parse(rest.substring(blank + 1)));
        id.grip(id.from());
        id.grip(id.to().orElseThrow());
        return id;
    }

    /** The grips of a change, the one left first; empty for a pattern. */
    Optional<Grip> left() {
        return to.map(t -> grip(from));
    }

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
        return kind.id() + ":" + from
                + to.map(t -> ">" + t + "@" + capo + " " + tuning).orElse("");
    }
}
