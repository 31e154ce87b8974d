package underhand.desk;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import underhand.hand.Player;
import underhand.neck.Fretboard;
import underhand.neck.Shape;

/** Where else on the neck a shape's notes are, and what its grip is at other frets. */
final class Elsewhere {

    private final Fretboard board;
    private final ShapeGrips grips;

    Elsewhere(Fretboard board, Player player) {
        this.board = board;
        this.grips = new ShapeGrips(board, player);
    }

    /** Other shapes that sound the same pitches, no more and no fewer; the one nearest the nut first. */
    public List<Shape> sameNotes(Shape shape) {
        int[] pitches = new int[shape.sounding()];
        int next = 0;
        for (int string = 0; string < shape.strings(); string++) {
            if (!shape.isSilent(string)) {
                pitches[next++] = board.midi(string, shape.fret(string));
            }
        }
        List<Shape> found = new ArrayList<>();
        int[] frets = new int[shape.strings()];
        Arrays.fill(frets, Shape.SILENT);
        place(pitches, 0, frets, found);
        found.removeIf(other -> other.equals(shape) || !grips.canHold(other));
        found.sort(Comparator.comparingInt(Shape::highestFret).thenComparing(Shape::compareInSearch));
        return found.stream().distinct().toList();
    }

    /** Puts each pitch on each string that has it and is free. */
    private void place(int[] pitches, int at, int[] frets, List<Shape> found) {
        if (at == pitches.length) {
            found.add(Shape.of(frets));
            return;
        }
        for (int string = 0; string < frets.length; string++) {
            int fret = pitches[at] - board.midi(string, 0);
            if (frets[string] == Shape.SILENT && fret >= 0 && fret <= board.frets()) {
                frets[string] = fret;
                place(pitches, at + 1, frets, found);
                frets[string] = Shape.SILENT;
            }
        }
    }

    /** The same grip at every other fret of the neck, from the lowest; none where open strings sound. */
    public List<Shape> moved(Shape shape) {
        List<Shape> found = new ArrayList<>();
        for (int by = -board.frets(); by <= board.frets(); by++) {
            if (by != 0) {
                shape.moved(by)
                        .filter(there -> there.highestFret() <= board.frets())
                        .filter(grips::canHold)
                        .ifPresent(found::add);
            }
        }
        return found;
    }

    /** The same fingers a string lower or higher, as far as the strings go. */
    public List<Shape> onNeighbouringStrings(Shape shape) {
        List<Shape> found = new ArrayList<>();
        for (int by : new int[] {-1, 1}) {
            int[] frets = new int[shape.strings()];
            Arrays.fill(frets, Shape.SILENT);
            boolean fits = true;
            for (int string = 0; string < frets.length; string++) {
                if (!shape.isSilent(string)) {
                    int there = string + by;
                    fits &= there >= 0 && there < frets.length;
                    if (fits) {
                        frets[there] = shape.fret(string);
                    }
                }
            }
            if (fits && grips.canHold(Shape.of(frets))) {
                found.add(Shape.of(frets));
            }
        }
        return found;
    }
}
