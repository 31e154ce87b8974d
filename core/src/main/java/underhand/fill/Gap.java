package underhand.fill;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import underhand.chord.ChordSymbol;
import underhand.hand.Grip;
import underhand.neck.Fretboard;
import underhand.neck.Shape;
import underhand.pitch.Key;
import underhand.solve.PlacedGrip;

/**
 * The room at the end of a chord, with the grips on both its sides.
 *
 * @param next what is played after it; empty at the end of the song
 * @param from beats after the chord's start at which the room begins
 * @param highestFret highest fret above the capo the hand may go to
 * @param isBlues whether the song is a blues
 */
record Gap(
        PlacedGrip here,
        Optional<PlacedGrip> next,
        Key key,
        double from,
        Fretboard board,
        int highestFret,
        boolean isBlues) {

    private static final int OCTAVE = 12;

    /** Frets a hand covers without moving: a finger each, and one more for the little finger. */
    private static final int REACH = 4;

    double beats() {
        return here.segment().beats();
    }

    double room() {
        return beats() - from;
    }

    Grip grip() {
        return here.grip().orElseThrow().grip();
    }

    Shape shape() {
        return grip().shape();
    }

    ChordSymbol chord() {
        return here.segment().chord().orElseThrow();
    }

    Optional<Shape> nextShape() {
        return next.flatMap(PlacedGrip::grip).map(g -> g.grip().shape());
    }

    /** The chord's name as its shape is called above the capo. */
    String name() {
        return here.played().orElseThrow().glyphs();
    }

    String nextName() {
        return next.flatMap(PlacedGrip::played).map(ChordSymbol::glyphs).orElse("the end");
    }

    boolean inKey(int midi) {
        return key.degreeOf(midi) > 0;
    }

    /** The next note of the key above (1) or below (-1) a note. */
    int neighbour(int midi, int direction) {
        int at = midi + direction;
        while (!inKey(at)) {
            at += direction;
        }
        return at;
    }

    int bass() {
        int string = shape().lowestSounding().orElseThrow();
        return board.midi(string, shape().fret(string));
    }

    int top() {
        return board.midi(shape().highestSounding(), shape().fret(shape().highestSounding()));
    }

    Optional<Integer> nextBass() {
        return nextShape()
                .map(s -> board.midi(
                        s.lowestSounding().orElseThrow(),
                        s.fret(s.lowestSounding().orElseThrow())));
    }

    Optional<Integer> nextTop() {
        return nextShape().map(s -> board.midi(s.highestSounding(), s.fret(s.highestSounding())));
    }

    /** Fret the hand stands at, 1 at least. */
    int hand() {
        return Math.max(1, grip().handFret());
    }

    /** Whether a hand that stays has a fret: an open string, or one under its fingers. */
    boolean reaches(int fret) {
        return fret == 0 || fret >= Math.max(1, hand() - 1) && fret <= Math.min(hand() + REACH, highestFret);
    }

    /** A shape of one note within the hand's reach: an open string, else the nearest fret, on a low or a high string. */
    Optional<Shape> single(int midi, boolean low) {
        List<Integer> found = new ArrayList<>();
        for (int string = 0; string < board.strings(); string++) {
            int inOrder = low ? string : board.strings() - 1 - string;
            if (reaches(midi - board.midi(inOrder, 0))) {
                found.add(inOrder);
            }
        }
        return found.stream()
                .min(Comparator.comparingInt(string -> distance(midi - board.midi(string, 0))))
                .map(string -> only(string, midi - board.midi(string, 0)));
    }

    private int distance(int fret) {
        return fret == 0 ? -1 : Math.max(0, Math.max(hand() - fret, fret - hand() - REACH + 1));
    }

    /** A shape that sounds one string only. */
    Shape only(int string, int fret) {
        int[] frets = silent();
        frets[string] = fret;
        return Shape.of(frets);
    }

    int[] silent() {
        int[] frets = new int[board.strings()];
        Arrays.fill(frets, Shape.SILENT);
        return frets;
    }

    /** The grip's shape with another fret on one string. */
    Shape with(int string, int fret) {
        return shape().with(string, fret);
    }
}
