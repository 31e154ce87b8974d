package underhand.hand;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import underhand.neck.Fretboard;
import underhand.neck.Shape;

/**
 * Grips that come from another by fingers that are taken off or set down, while the others stay where they are. Whether a hand
 * reaches so far is not asked.
 */
public final class NearGrips {

    private final Fretboard board;

    public NearGrips(Fretboard board) {
        this.board = board;
    }

    /** One finger alone; none where the fret is 0. */
    public Grip alone(int string, int fret, int finger) {
        int[] frets = silence();
        frets[string] = fret;
        List<Hold> holds = fret == 0 ? List.of() : List.of(new Hold(finger, fret, string, string));
        return new Grip(Shape.of(frets), holds, board);
    }

    /** No finger and no string. */
    public Grip nothing() {
        return new Grip(Shape.of(silence()), List.of(), board);
    }

    private int[] silence() {
        int[] frets = new int[board.strings()];
        Arrays.fill(frets, Shape.SILENT);
        return frets;
    }

    /** The grip without one of its fingers: the strings only it stopped are silent. */
    public Grip without(Grip grip, int finger) {
        int[] frets = grip.shape().toArray();
        for (int string = 0; string < frets.length; string++) {
            frets[string] = grip.fingerOn(string) == finger ? Shape.SILENT : frets[string];
        }
        List<Hold> holds =
                grip.holds().stream().filter(h -> h.finger() != finger).toList();
        return new Grip(Shape.of(frets), holds, board);
    }

    /** The grip with a string open; empty where a barre lies over it, or a finger stops it. */
    public Optional<Grip> withOpen(Grip grip, int string) {
        int[] frets = grip.shape().toArray();
        frets[string] = 0;
        return checked(frets, grip.holds());
    }

    /**
     * The grip with a free finger set down on a string that sounds otherwise; empty where the finger is not free, another one
     * stops the string, or fingers would cross: a higher one is never on a lower fret, nor on the same fret nearer the bass.
     */
    public Optional<Grip> with(Grip grip, int finger, int string, int fret) {
        if (grip.uses(finger)) {
            return Optional.empty();
        }
        int[] frets = grip.shape().toArray();
        frets[string] = fret;
        List<Hold> holds = new ArrayList<>(grip.holds());
        holds.add(new Hold(finger, fret, string, string));
        holds.sort(Comparator.comparingInt(Hold::finger));
        return checked(frets, holds);
    }

    private Optional<Grip> checked(int[] frets, List<Hold> holds) {
        for (int i = 0; i < holds.size(); i++) {
            Hold hold = holds.get(i);
            for (int string = hold.lowString(); string <= hold.highString(); string++) {
                if (frets[string] != Shape.SILENT && frets[string] < hold.fret()) {
                    return Optional.empty();
                }
            }
            if (frets[hold.lowString()] != hold.fret() && !hold.isBarre()) {
                return Optional.empty();
            }
            for (int j = i + 1; j < holds.size() && holds.get(j).finger() < Grip.THUMB; j++) {
                Hold higher = holds.get(j);
                boolean crosses = higher.fret() < hold.fret()
                        || higher.fret() == hold.fret() && higher.lowString() <= hold.highString();
                if (crosses) {
                    return Optional.empty();
                }
            }
        }
        return Optional.of(new Grip(Shape.of(frets), holds, board));
    }
}
