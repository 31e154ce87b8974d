package underhand.desk;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import underhand.chord.ChordNamer;
import underhand.desk.Desk.Moved;
import underhand.desk.Desk.Neighbour;
import underhand.hand.Hold;
import underhand.hand.Player;
import underhand.neck.Fretboard;
import underhand.neck.Shape;
import underhand.pitch.Key;
import underhand.pitch.Pitch;

/**
 * Every chord that lies one finger away from a shape: a string that is stopped at another fret, stopped or let go, and a barre that
 * is lifted or slides. A hand has to hold it, and it has to have a name.
 */
final class Neighbours {

    private static final int FEWEST_NOTES = 2;

    private final Fretboard board;
    private final ShapeGrips grips;
    private final Optional<Key> key;
    private final int highestFret;

    /** @param key chords all of whose notes are in it come first; empty when none is asked for */
    Neighbours(Fretboard board, Player player, Optional<Key> key, int highestFret) {
        this.board = board;
        this.grips = new ShapeGrips(board, player);
        this.key = key;
        this.highestFret = Math.min(highestFret, board.frets());
    }

    /** The chords a finger away, those in key first, then the plainest names. */
    public List<Neighbour> of(Shape shape) {
        return named(shape, around(shape));
    }

    /** The chords that take two fingers, none of which one finger reaches; the same order. */
    public List<Neighbour> twoAway(Shape shape) {
        Set<Shape> once = around(shape);
        Set<Shape> twice = new LinkedHashSet<>();
        for (Shape near : once) {
            twice.addAll(around(near));
        }
        twice.removeAll(once);
        twice.remove(shape);
        return named(shape, twice);
    }

    /** Every shape a finger away that a hand can hold, named or not. */
    private Set<Shape> around(Shape shape) {
        Set<Shape> found = new LinkedHashSet<>();
        int[] frets = shape.toArray();
        for (int string = 0; string < frets.length; string++) {
            for (int fret = Shape.SILENT; fret <= highestFret; fret++) {
                if (fret != shape.fret(string)) {
                    int[] moved = frets.clone();
                    moved[string] = fret;
                    add(moved, found);
                }
            }
        }
        grips.of(shape).stream()
                .findFirst()
                .ifPresent(grip -> grip.grip().barres().forEach(barre -> addBarre(shape, barre, found)));
        found.remove(shape);
        return found;
    }

    /** The strings only a barre stops, let go or at another fret. */
    private void addBarre(Shape shape, Hold barre, Set<Shape> found) {
        for (int fret = 0; fret <= highestFret; fret++) {
            int[] moved = shape.toArray();
            for (int string = barre.lowString(); string <= barre.highString(); string++) {
                moved[string] = moved[string] == barre.fret() ? fret : moved[string];
            }
            add(moved, found);
        }
    }

    private void add(int[] frets, Set<Shape> found) {
        Shape shape = Shape.of(frets);
        if (shape.sounding() >= FEWEST_NOTES && grips.canHold(shape)) {
            found.add(shape);
        }
    }

    private List<Neighbour> named(Shape from, Set<Shape> shapes) {
        List<Neighbour> named = new ArrayList<>();
        for (Shape shape : shapes) {
            List<Pitch> pitches = shape.pitches(board);
            List<ChordNamer.Name> names = ChordNamer.names(pitches, Optional.empty());
            if (!names.isEmpty()) {
                List<Moved> moved = moved(from, shape);
                named.add(new Neighbour(shape, names, moved, from.keptIn(shape), isInKey(pitches)));
            }
        }
        named.sort(Comparator.comparing((Neighbour n) -> !n.inKey())
                .thenComparingDouble(n -> n.names().get(0).cost())
                .thenComparing(Comparator.comparingInt(Neighbour::kept).reversed())
                .thenComparing((a, b) -> a.shape().compareInSearch(b.shape())));
        return named;
    }

    private static List<Moved> moved(Shape from, Shape to) {
        List<Moved> moved = new ArrayList<>();
        for (int string = 0; string < from.strings(); string++) {
            if (from.fret(string) != to.fret(string)) {
                moved.add(new Moved(string, from.fret(string), to.fret(string)));
            }
        }
        return moved;
    }

    private boolean isInKey(List<Pitch> pitches) {
        return key.isPresent() && pitches.stream().allMatch(p -> key.get().degreeOf(p.pitchClass()) > 0);
    }
}
