package underhand.texture;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import underhand.chord.ChordSymbol;
import underhand.neck.Fretboard;
import underhand.neck.Guitar;
import underhand.neck.Shape;
import underhand.neck.Tuning;
import underhand.pitch.Interval;
import underhand.pitch.Note;
import underhand.table.Table;

/**
 * The five forms chords have along the neck, {@code forms.csv}: open chords moved up. Known for strings tuned in the intervals
 * of the standard tuning.
 */
public final class Forms {

    /** Fewer strings are no part of a form but single notes. */
    private static final int FEWEST_STRINGS = 3;

    private record Row(String form, int rootString, int rootFret, Shape open) {}

    private static final List<Row> ROWS = Table.read(
            Forms.class,
            "forms.csv",
            4,
            row -> new Row(row.cell(0), row.number(1), row.number(2), Shape.parse(row.cell(3))));

    private static final int OCTAVE = 12;
    private static final Interval FIFTH = Interval.parse("P5");

    /**
     * A form at its place.
     *
     * @param form its letter, {@code A}
     * @param fret where its nut lies, from the capo
     * @param root what chord's root that is
     */
    public record Place(String form, int fret, Note root) {}

    private Forms() {}

    /** The five forms of a root in their order along the neck, within an octave; none in other tunings. */
    public static List<Place> along(Note root, Fretboard board) {
        return places(board, row -> {
            int fret = Math.floorMod(root.pitchClass() - board.midi(row.rootString(), row.rootFret()), OCTAVE);
            return new Place(row.form(), fret, root);
        });
    }

    /** Each form with its nut at the first fret; none in other tunings. */
    public static List<Place> atFirstFret(Fretboard board) {
        return places(board, row -> {
            int root = board.midi(row.rootString(), row.rootFret() + 1) % OCTAVE;
            return new Place(row.form(), 1, Note.inPitchClass(root, true));
        });
    }

    private static List<Place> places(Fretboard board, Function<Row, Place> at) {
        return isKnown(board)
                ? ROWS.stream()
                        .map(at)
                        .distinct()
                        .filter(place -> place.fret() <= board.frets())
                        .sorted(Comparator.comparingInt(Place::fret))
                        .toList()
                : List.of();
    }

    /** The shape of a form that has a chord's tones and no other; only a perfect fifth may be left out. Of several the fullest. */
    public static Optional<Shape> shape(Place place, ChordSymbol chord, Fretboard board) {
        Set<Integer> all = pitchClasses(chord, tone -> true);
        Set<Integer> needed = pitchClasses(chord, tone -> !tone.interval().equals(FIFTH));
        return ROWS.stream()
                .filter(row -> row.form().equals(place.form()))
                .map(row -> up(row.open(), place.fret()))
                .flatMap(Optional::stream)
                .filter(shape -> {
                    Set<Integer> sounding = shape.pitches(board).stream()
                            .map(p -> Math.floorMod(p.midi(), OCTAVE))
                            .collect(Collectors.toSet());
                    return all.containsAll(sounding) && sounding.containsAll(needed);
                })
                .max(Comparator.comparingInt(Shape::sounding));
    }

    private static Set<Integer> pitchClasses(ChordSymbol chord, Predicate<ChordSymbol.Tone> which) {
        return chord.tones().stream()
                .filter(which)
                .map(tone -> tone.note().pitchClass())
                .collect(Collectors.toSet());
    }

    private static Optional<Shape> up(Shape open, int by) {
        int[] frets = open.toArray();
        for (int string = 0; string < frets.length; string++) {
            frets[string] += open.isSilent(string) ? 0 : by;
        }
        return Shape.of(frets).highestFret() > Guitar.MOST_FRETS ? Optional.empty() : Optional.of(Shape.of(frets));
    }

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
