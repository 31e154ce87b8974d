package underhand.texture;

import java.util.List;
import java.util.Optional;
import underhand.chord.ChordSymbol;
import underhand.neck.Fretboard;
import underhand.neck.Shape;
import underhand.neck.Tuning;
import underhand.table.Table;

/**
 * The five forms chords have along the neck, {@code forms.csv}: open chords moved up. Known for strings tuned in the intervals
 * of the standard tuning.
 */
final class Forms {

    /** Fewer strings are no part of a form but single notes. */
    private static final int FEWEST_STRINGS = 3;

    private record Row(String form, int rootString, int rootFret, Shape open) {}

    private static final List<Row> ROWS = Table.read(
            Forms.class,
            "forms.csv",
            4,
            row -> new Row(row.cell(0), row.number(1), row.number(2), Shape.parse(row.cell(3))));

    private Forms() {}

    /** A form and the fret at which its nut lies: {@code A form at 5}; empty for a shape that is none. */
    static Optional<String> of(Shape shape, ChordSymbol chord, Fretboard board) {
        if (shape.openStrings() > 0 || shape.sounding() < FEWEST_STRINGS || !isKnown(board)) {
            return Optional.empty();
        }
        Row best = null;
        int bestFret = 0;
        for (Row row : ROWS) {
            int low = shape.lowestSounding().orElseThrow();
            int up = row.open().isSilent(low) ? 0 : shape.fret(low) - row.open().fret(low);
            boolean isNearer =
                    best == null || row.open().sounding() < best.open().sounding();
            if (up > 0 && isNearer && isPart(shape, row.open(), up) && isRoot(row, up, chord, board)) {
                best = row;
                bestFret = up;
            }
        }
        return best == null ? Optional.empty() : Optional.of(best.form() + " form at " + bestFret);
    }

    private static boolean isKnown(Fretboard board) {
        return board.strings() == Tuning.STANDARD.size() && board.retuning().isStandard();
    }

    private static boolean isRoot(Row row, int up, ChordSymbol chord, Fretboard board) {
        return board.midi(row.rootString(), row.rootFret() + up) % 12
                == chord.root().pitchClass();
    }

    /** Whether a shape is some neighbouring strings of another moved up, from one of its ends on. */
    private static boolean isPart(Shape shape, Shape open, int up) {
        int low = shape.lowestSounding().orElseThrow();
        int high = shape.highestSounding();
        for (int string = low; string <= high; string++) {
            if (open.isSilent(string) || shape.isSilent(string) || shape.fret(string) != open.fret(string) + up) {
                return false;
            }
        }
        return low == open.lowestSounding().orElseThrow() || high == open.highestSounding();
    }
}
