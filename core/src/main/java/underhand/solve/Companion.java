package underhand.solve;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import underhand.hand.Grip;
import underhand.hand.Parameters;
import underhand.neck.Fretboard;

/**
 * The first guitar's part, as a second one has to hear it: where its notes are on the neck and how high they sound, so
 * that the second plays something else somewhere else.
 */
public final class Companion {

    /** Centres of register at least this many semitones apart are two registers: a fifth. */
    private static final double APART = 7;

    /**
     * What the first guitar sounds over a placement.
     *
     * @param places string and fret from the nut, as one number
     * @param centre mean of the pitches
     */
    record Sounding(Set<Integer> places, Set<Integer> pitches, double centre) {}

    private static final int STRINGS = 16;

    private final Map<Integer, Sounding> byPlacement = new HashMap<>();
    private final double place;
    private final double pitch;
    private final double register;

    public Companion(List<PlacedGrip> first, Fretboard board, Parameters parameters) {
        for (PlacedGrip placed : first) {
            placed.grip().ifPresent(g -> byPlacement.putIfAbsent(placed.slot().index(), sounding(g.grip(), board)));
        }
        this.place = parameters.get("second.place");
        this.pitch = parameters.get("second.pitch");
        this.register = parameters.get("second.register");
    }

    static Sounding sounding(Grip grip, Fretboard board) {
        Set<Integer> places = new HashSet<>();
        Set<Integer> pitches = new HashSet<>();
        for (int string = 0; string < grip.shape().strings(); string++) {
            int fret = grip.shape().fret(string);
            if (!grip.shape().isSilent(string)) {
                places.add(string + STRINGS * (board.capo() + fret));
                pitches.add(board.midi(string, fret));
            }
        }
        double centre = pitches.stream().mapToInt(Integer::intValue).average().orElse(0);
        return new Sounding(places, pitches, centre);
    }

    /** What a grip of the second guitar costs for lying on the first one's; 0 where the first is silent. */
    double price(int placement, Grip grip, Fretboard board) {
        Sounding first = byPlacement.get(placement);
        if (first == null) {
            return 0;
        }
        Sounding second = sounding(grip, board);
        double near = Math.max(0, APART - Math.abs(second.centre() - first.centre()));
        return place * shared(first.places(), second.places())
                + pitch * shared(first.pitches(), second.pitches())
                + register * near;
    }

    private static int shared(Set<Integer> one, Set<Integer> other) {
        int shared = 0;
        for (int value : other) {
            shared += one.contains(value) ? 1 : 0;
        }
        return shared;
    }

    /** How much a second part lies on the first, over all its placements. */
    public Overlap overlap(List<PlacedGrip> second, Fretboard board) {
        int placements = 0;
        int places = 0;
        int pitches = 0;
        int notes = 0;
        double apart = 0;
        for (PlacedGrip placed : second) {
            Sounding first = byPlacement.get(placed.slot().index());
            if (first != null && placed.grip().isPresent()) {
                Sounding own = sounding(placed.grip().get().grip(), board);
                placements++;
                places += shared(first.places(), own.places());
                pitches += shared(first.pitches(), own.pitches());
                notes += own.pitches().size();
                apart += own.centre() - first.centre();
            }
        }
        return new Overlap(
                notes == 0 ? 0 : (double) places / notes,
                notes == 0 ? 0 : (double) pitches / notes,
                placements == 0 ? 0 : apart / placements);
    }
}
