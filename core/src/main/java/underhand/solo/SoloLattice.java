package underhand.solo;

import java.util.List;
import underhand.hand.Parameters;
import underhand.move.ChangeModel;
import underhand.neck.Fretboard;
import underhand.route.Lattice;
import underhand.work.Work;

/** The moments of a song with the grips that can play each, and what it costs to go from one to the next. */
final class SoloLattice implements Lattice {

    private static final double SAME = 1e-6;

    /** A tune that moves no further steps: a whole tone. */
    private static final int STEP = 2;

    /** A bass that is let go later than this was heard long enough. */
    private static final double LONG_BASS = 2;

    private final List<Moment> moments;
    private final SoloGrip[][] grips;
    private final ChangeModel changes;
    private final Fretboard board;
    private final SoloTiming timing;
    private final boolean isLed;
    private final double change;
    private final double late;
    private final double cutBass;
    private final double cutTune;
    private final double led;
    private final double hop;

    SoloLattice(
            List<Moment> moments,
            SoloGrip[][] grips,
            ChangeModel changes,
            Fretboard board,
            SoloTiming timing,
            Manner manner,
            Parameters parameters) {
        this.moments = moments;
        this.grips = grips;
        this.changes = changes;
        this.board = board;
        this.timing = timing;
        this.isLed = manner.together();
        change = parameters.get("route.change");
        late = parameters.get("solo.late");
        cutBass = parameters.get("solo.cutBass");
        cutTune = parameters.get("solo.cutTune");
        led = parameters.get("solo.led");
        hop = parameters.get("solo.hop");
    }

    @Override
    public int layers() {
        return grips.length;
    }

    @Override
    public int nodes(int layer) {
        return grips[layer].length;
    }

    @Override
    public double nodeCost(int layer, int node) {
        return grips[layer][node].cost();
    }

    @Override
    public double edgeCost(int layer, int from, int to) {
        return edges(layer).cost(from, to, Double.POSITIVE_INFINITY);
    }

    @Override
    public Edges edges(int layer) {
        Work.check();
        Moment here = moments.get(layer);
        Moment next = moments.get(layer + 1);
        SoloGrip[] left = grips[layer];
        SoloGrip[] reached = grips[layer + 1];
        return (from, to, most) -> cost(here, next, left[from], reached[to], most);
    }

    private double cost(Moment here, Moment next, SoloGrip left, SoloGrip reached, double most) {
        if (reached.from() != null && left.anchor() != reached.from()) {
            return Double.POSITIVE_INFINITY;
        }
        double cost = ofTune(here, next, left, reached);
        boolean leaves = !next.begins() && left.bass() != SoloGrip.NONE && left.anchor() != reached.anchor();
        cost += leaves ? cutBass * Math.min(LONG_BASS, next.beats()) : 0;
        cost += isLed && next.begins() && !next.plain() ? led * moved(left.anchor(), reached) : 0;
        if (cost > most) {
            return cost;
        }
        ChangeModel.Cost hand = changes.cost(left.grip(), reached.grip());
        return cost + change * hand.effort() + late * Math.max(0, hand.seconds() - timing.secondsToLeave(here, left));
    }

    private double ofTune(Moment here, Moment next, SoloGrip left, SoloGrip reached) {
        if (next.tune() == Moment.Tune.HELD) {
            return holdsOn(left, reached) ? 0 : cutTune;
        }
        boolean steps = here.midi() >= 0 && next.midi() >= 0 && Math.abs(here.midi() - next.midi()) <= STEP;
        boolean both = left.top() != SoloGrip.NONE && reached.top() != SoloGrip.NONE;
        return steps && both ? hop * Math.abs(left.top() - reached.top()) : 0;
    }

    /** Whether a note of the tune goes on where it is. */
    static boolean holdsOn(SoloGrip left, SoloGrip reached) {
        return left.top() != SoloGrip.NONE
                && left.top() == reached.top()
                && left.grip().shape().fret(left.top())
                        == reached.grip().shape().fret(reached.top());
    }

    /** Semitones the inner voices of two chords move, the highest to the highest and so on. */
    private int moved(SoloGrip left, SoloGrip reached) {
        int moved = 0;
        int before = left.inner();
        int after = reached.inner();
        while (before != 0 && after != 0) {
            int from = 31 - Integer.numberOfLeadingZeros(before);
            int to = 31 - Integer.numberOfLeadingZeros(after);
            moved += Math.abs(pitch(left, from) - pitch(reached, to));
            before ^= 1 << from;
            after ^= 1 << to;
        }
        return moved;
    }

    private int pitch(SoloGrip grip, int string) {
        return board.midi(string, grip.grip().shape().fret(string));
    }
}
