package underhand.solo;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.stream.IntStream;
import underhand.hand.FingeringSearch;
import underhand.hand.Grip;
import underhand.neck.Fretboard;
import underhand.neck.Shape;

/** Puts together every shape of a chord under a note of the tune, string by string from the note down, and fingers the cheapest. */
final class ChordSearch {

    /** Shapes of a chord that are fingered, the cheapest at a glance. */
    private static final int FINGERED = 56;

    /** Grips kept of a chord with its tune on one string. */
    private static final int KEPT_ON_A_STRING = 10;

    private final Fretboard board;
    private final Manner manner;
    private final Under under;
    private final SoloEfforts efforts;
    private final FingeringSearch fingerings;
    private final double reachMm;
    private final Under.Ask ask;
    private final int[] frets;
    private final int[] pitches;
    private final PriorityQueue<Found> best =
            new PriorityQueue<>(Comparator.comparingDouble(Found::atLeast).reversed());
    private int top;
    private double ofTop;

    private record Found(Shape shape, int top, double sound, double atLeast) {}

    /** What every search of a hand has in common. */
    record Hand(
            Fretboard board,
            Manner manner,
            Under under,
            SoloEfforts efforts,
            FingeringSearch fingerings,
            double reachMm) {}

    ChordSearch(Hand hand, Under.Ask ask) {
        this.board = hand.board();
        this.manner = hand.manner();
        this.under = hand.under();
        this.efforts = hand.efforts();
        this.fingerings = hand.fingerings();
        this.reachMm = hand.reachMm();
        this.ask = ask;
        this.frets = new int[board.strings()];
        this.pitches = new int[board.strings()];
    }

    /** The grips, the cheapest first.
     *
     * @param most how many are kept
     */
    List<SoloGrip> run(int most) {
        if (manner.bass() == Manner.Bass.NONE) {
            return List.of();
        }
        Arrays.fill(frets, Shape.SILENT);
        if (ask.midi() < 0) {
            top = SoloGrip.NONE;
            lower(board.strings() - 1, 0, 0, 0);
        } else {
            for (int string = 1; string < board.strings(); string++) {
                int fret = ask.midi() - board.midi(string, 0);
                if (fret >= 0 && fret <= board.frets() && under.maySing(string, ask.midi())) {
                    top = string;
                    ofTop = under.ofTop(string);
                    frets[string] = fret;
                    lower(string - 1, 0, fret, fret);
                    frets[string] = Shape.SILENT;
                }
            }
        }
        return fingered(most);
    }

    /**
     * @param count strings that sound under the tune so far
     * @param lowest lowest fret stopped so far; 0 for none
     */
    private void lower(int string, int count, int lowest, int highest) {
        if (string < 0 || count == manner.mostUnder()) {
            if (count > 0) {
                add(count);
            }
            return;
        }
        lower(string - 1, count, lowest, highest);
        int most = manner.isOpen() ? 0 : efforts.highestFret();
        for (int fret = 0; fret <= most; fret++) {
            int midi = board.midi(string, fret);
            boolean isBelow = ask.midi() < 0 || midi < ask.midi();
            if (isBelow && under.allows(ask, midi, true)) {
                int low = fret == 0 ? lowest : lowest == 0 ? fret : Math.min(lowest, fret);
                int high = Math.max(highest, fret);
                if (low == 0 || board.pressMm(high) - board.pressMm(low) <= reachMm) {
                    frets[string] = fret;
                    pitches[count] = midi;
                    lower(string - 1, count + 1, low, high);
                    frets[string] = Shape.SILENT;
                }
            }
        }
    }

    private void add(int count) {
        int[] rising = new int[count];
        for (int i = 0; i < count; i++) {
            rising[i] = pitches[count - 1 - i];
            boolean crosses = i > 0 && rising[i] <= rising[i - 1];
            if (crosses || i > 0 && !under.allows(ask, rising[i], false)) {
                return;
            }
        }
        double sound = ofTop + under.of(ask, rising, count);
        if (best.size() == FINGERED && sound >= best.peek().atLeast()) {
            return;
        }
        Shape shape = Shape.of(frets);
        double atLeast = sound + efforts.atLeast(shape);
        if (best.size() < FINGERED || atLeast < best.peek().atLeast()) {
            best.add(new Found(shape, top, sound, atLeast));
            if (best.size() > FINGERED) {
                best.poll();
            }
        }
    }

    /** The fingerings of one shape, the tune on one of its strings or on none. */
    List<SoloGrip> fingered(Shape shape, int tuneString) {
        int[] rising = IntStream.range(0, shape.strings())
                .filter(s -> !shape.isSilent(s) && s != tuneString)
                .map(s -> board.midi(s, shape.fret(s)))
                .toArray();
        double ofString = tuneString < 0 ? 0 : under.ofTop(tuneString);
        Found found = new Found(shape, tuneString, ofString + under.of(ask, rising, rising.length), 0);
        return fingerings.fingerings(shape).stream()
                .map(g -> grip(found, g))
                .filter(g -> g.effort().isPossible())
                .sorted(Comparator.comparingDouble(SoloGrip::cost))
                .toList();
    }

    private List<SoloGrip> fingered(int most) {
        List<SoloGrip> grips = new ArrayList<>();
        for (Found found : best) {
            fingerings.fingerings(found.shape()).stream()
                    .map(g -> grip(found, g))
                    .filter(g -> g.effort().isPossible())
                    .min(Comparator.comparingDouble(SoloGrip::cost))
                    .ifPresent(grips::add);
        }
        grips.sort(Comparator.comparingDouble(SoloGrip::cost)
                .thenComparing(
                        (a, b) -> a.grip().shape().compareInSearch(b.grip().shape())));
        Map<Integer, Integer> onString = new HashMap<>();
        grips.removeIf(g -> onString.merge(g.top(), 1, Integer::sum) > KEPT_ON_A_STRING);
        return List.copyOf(grips.subList(0, Math.min(most, grips.size())));
    }

    private SoloGrip grip(Found found, Grip grip) {
        Shape shape = grip.shape();
        int bass = shape.lowestSounding().orElseThrow();
        int inner = 0;
        for (int string = bass + 1; string < shape.strings(); string++) {
            inner |= shape.isSilent(string) || string == found.top() ? 0 : 1 << string;
        }
        return new SoloGrip(grip, found.top(), bass, inner, efforts.ofChord(grip, found.top(), found.sound()));
    }
}
