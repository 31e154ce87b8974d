package underhand.hand;

import java.util.ArrayList;
import java.util.List;
import underhand.neck.Fretboard;
import underhand.neck.Shape;

/**
 * Every way to finger a shape.
 *
 * <p>The fretted places are cut into holds (one finger each, a barre where neighbours on one fret are pressed
 * together), ordered by fret and then from the low string to the high; fingers then rise along that order. So a higher
 * finger is never on a lower fret, and on one fret fingers rise from low string to high, but for the lowest of them, which
 * may take the highest string past an open one. A barre passes over strings
 * stopped higher up and over silent ones (which then need another finger, or the picking hand, to keep them silent),
 * never over an open one. The thumb, where the player uses it, may stop the lowest
 * string within a fret of the index finger. A shape of s strings has at most 2^s ways to cut and C(4,k) to number k
 * holds. No answer is an empty list.
 */
public final class FingeringSearch {

    private static final int FINGERS = 4;

    private final Fretboard board;
    private final int mostFingers;
    private final int longestBarre;
    private final boolean thumb;

    public FingeringSearch(Fretboard board, Rung rung, Player player) {
        this.board = board;
        this.mostFingers = rung.mostFingers();
        this.longestBarre = rung.longestBarre();
        this.thumb = player.thumb();
    }

    /** One finger's place before it has a number. */
    private record Place(int fret, int low, int high) {
        Hold by(int finger) {
            return new Hold(finger, fret, low, high);
        }
    }

    /** All fingerings, in no order of merit; one without holds for a shape of open strings. */
    public List<Grip> fingerings(Shape shape) {
        List<Grip> found = new ArrayList<>();
        List<int[]> places = placesByFret(shape);
        cut(shape, places, 0, new ArrayList<>(), List.of(), found);
        if (thumb && shape.isFretted(0)) {
            Hold low = new Hold(Grip.THUMB, shape.fret(0), 0, 0);
            List<int[]> others = places.stream().filter(p -> p[0] != 0).toList();
            cut(shape, others, 0, new ArrayList<>(), List.of(low), found);
        }
        return found;
    }

    /** Fretted places as {string, fret}, by fret and then from the low string. */
    private static List<int[]> placesByFret(Shape shape) {
        List<int[]> places = new ArrayList<>();
        for (int string = 0; string < shape.strings(); string++) {
            if (shape.isFretted(string)) {
                places.add(new int[] {string, shape.fret(string)});
            }
        }
        places.sort((a, b) -> a[1] != b[1] ? Integer.compare(a[1], b[1]) : Integer.compare(a[0], b[0]));
        return places;
    }

    /** Extends a cutting by one hold that begins at place {@code at} and takes in as many neighbours as it can. */
    private void cut(Shape shape, List<int[]> places, int at, List<Place> holds, List<Hold> given, List<Grip> found) {
        if (at == places.size()) {
            number(shape, holds, given, found);
            return;
        }
        if (holds.size() == mostFingers) {
            return;
        }
        int low = places.get(at)[0];
        int fret = places.get(at)[1];
        for (int end = at; end < places.size() && places.get(end)[1] == fret; end++) {
            int high = places.get(end)[0];
            if (end > at && !canBarre(shape, fret, low, high)) {
                break;
            }
            holds.add(new Place(fret, low, high));
            cut(shape, places, end + 1, holds, given, found);
            holds.remove(holds.size() - 1);
        }
    }

    private boolean canBarre(Shape shape, int fret, int low, int high) {
        if (high - low + 1 > longestBarre) {
            return false;
        }
        for (int string = low; string <= high; string++) {
            if (shape.fret(string) < fret && !shape.isSilent(string)) {
                return false;
            }
        }
        return true;
    }

    /** Gives rising finger numbers to the holds in every way. */
    private void number(Shape shape, List<Place> places, List<Hold> given, List<Grip> found) {
        for (int set = 0; set < 1 << FINGERS; set++) {
            if (Integer.bitCount(set) == places.size()) {
                List<Hold> holds = new ArrayList<>(places.size() + given.size());
                int finger = 0;
                for (Place place : places) {
                    finger += Integer.numberOfTrailingZeros(set >> finger) + 1;
                    holds.add(place.by(finger));
                }
                add(shape, holds, given, found);
                addTurned(shape, holds, given, found);
            }
        }
    }

    private void add(Shape shape, List<Hold> holds, List<Hold> given, List<Grip> found) {
        List<Hold> all = new ArrayList<>(holds);
        all.addAll(given);
        if (given.isEmpty() || thumbIsNearIndex(all)) {
            found.add(new Grip(shape, all, board));
        }
    }

    /** The same with the lowest finger of a fret on its highest string: 320002 as {@code 32---1}. */
    private void addTurned(Shape shape, List<Hold> holds, List<Hold> given, List<Grip> found) {
        for (int from = 0; from < holds.size(); ) {
            int fret = holds.get(from).fret();
            int last = from;
            while (last + 1 < holds.size() && holds.get(last + 1).fret() == fret) {
                last++;
            }
            if (last > from && isApart(shape, holds.get(last - 1), holds.get(last))) {
                List<Hold> turned = new ArrayList<>(holds);
                turned.set(from, holds.get(last).by(holds.get(from).finger()));
                for (int at = from; at < last; at++) {
                    turned.set(at + 1, holds.get(at).by(holds.get(at + 1).finger()));
                }
                add(shape, turned, given, found);
            }
            from = last + 1;
        }
    }

    /** Whether there is room between two holds for the finger on the higher to be the lower one; a barre needs no open string. */
    private static boolean isApart(Shape shape, Hold low, Hold high) {
        for (int string = low.highString() + 1; string < high.lowString(); string++) {
            if (shape.fret(string) == 0 || high.isBarre() && shape.isSilent(string)) {
                return true;
            }
        }
        return false;
    }

    private static boolean thumbIsNearIndex(List<Hold> holds) {
        int thumbFret = holds.get(holds.size() - 1).fret();
        int hand = Posture.handFret(holds);
        return Math.abs(thumbFret - hand) <= 1;
    }
}
