package underhand.fill;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import underhand.fill.Sketch.Moment;
import underhand.hand.FingeringSearch;
import underhand.hand.Grip;
import underhand.hand.HandEffort;
import underhand.move.ChangeModel;
import underhand.route.Lattice;
import underhand.route.RouteSolver;

/** Gives a fill the fingers that move least from the grip before it to the one after it: the cheapest way through all. */
final class FillFingers {

    /** A grip held for a moment of a fill is so much of one that is held for a chord. */
    private static final double MOMENT = 0.5;

    /** Effort for a note of the grip before that another finger takes over: the one that left it comes back (memory). */
    private static final double TAKEN_OVER = 1;

    /** Price of a slur with one finger: more than any way without. */
    private static final double UNPLAYABLE = 1e6;

    private final FingeringSearch search;
    private final HandEffort effort;
    private final ChangeModel changes;

    FillFingers(FingeringSearch search, HandEffort effort, ChangeModel changes) {
        this.search = search;
        this.effort = effort;
        this.changes = changes;
    }

    /**
     * The grips of a fill's moments.
     *
     * @param effort of the moves into, between and out of them
     * @param neededSeconds of the move with the least time to spare
     * @param availableSeconds for it
     */
    record Fingered(List<Grip> grips, double effort, double neededSeconds, double availableSeconds) {}

    /**
     * @param leave seconds between the last stroke before the fill and the fill
     * @return empty where a moment has no fingering a hand can hold
     */
    Optional<Fingered> of(Grip before, List<Moment> moments, Optional<Grip> after, double leave, double beatSeconds) {
        List<List<Grip>> layers = new ArrayList<>();
        layers.add(List.of(before));
        moments.forEach(moment -> layers.add(search.fingerings(moment.shape())));
        after.ifPresent(grip -> layers.add(List.of(grip)));
        if (layers.stream().anyMatch(List::isEmpty)) {
            return Optional.empty();
        }
        int[] nodes = RouteSolver.solve(new Hands(layers, moments)).nodes();
        List<Grip> way = new ArrayList<>();
        for (int layer = 0; layer < nodes.length; layer++) {
            way.add(layers.get(layer).get(nodes[layer]));
        }
        for (int i = 0; i < moments.size(); i++) {
            if (!isSlurred(moments.get(i), way.get(i), way.get(i + 1))) {
                return Optional.empty();
            }
        }
        double total = 0;
        double tightest = Double.POSITIVE_INFINITY;
        double needed = 0;
        double available = leave;
        for (int i = 0; i + 1 < way.size(); i++) {
            double seconds = changes.neededSeconds(way.get(i), way.get(i + 1));
            double time = i == 0 ? leave : moments.get(i - 1).beats() * beatSeconds;
            total += changes.effort(way.get(i), way.get(i + 1));
            if (time - seconds < tightest) {
                tightest = time - seconds;
                needed = seconds;
                available = time;
            }
        }
        return Optional.of(new Fingered(way.subList(1, moments.size() + 1), total, needed, available));
    }

    /** Whether a note that is hammered on or pulled off to has a finger of its own, the note it comes from another or none. */
    private static boolean isSlurred(Moment moment, Grip from, Grip to) {
        if (moment.technique() == Technique.PLUCKED) {
            return true;
        }
        return moment.strings().stream().allMatch(string -> from.fingerOn(string) != to.fingerOn(string));
    }

    /** The fingerings of every moment between the grip before and the one after. */
    private final class Hands implements Lattice {

        private final List<List<Grip>> layers;
        private final List<Moment> moments;

        Hands(List<List<Grip>> layers, List<Moment> moments) {
            this.layers = layers;
            this.moments = moments;
        }

        @Override
        public int layers() {
            return layers.size();
        }

        @Override
        public int nodes(int layer) {
            return layers.get(layer).size();
        }

        @Override
        public double nodeCost(int layer, int node) {
            boolean ofTheFill = layer >= 1 && layer <= moments.size();
            return ofTheFill ? costOf(layers.get(layer).get(node)) : 0;
        }

        private double costOf(Grip grip) {
            Grip before = layers.get(0).get(0);
            int takenOver = 0;
            for (int string = 0; string < grip.shape().strings(); string++) {
                boolean sameNote = grip.shape().isFretted(string)
                        && grip.shape().fret(string) == before.shape().fret(string);
                takenOver += sameNote && grip.fingerOn(string) != before.fingerOn(string) ? 1 : 0;
            }
            return MOMENT * effort.of(grip).total() + TAKEN_OVER * takenOver;
        }

        @Override
        public double edgeCost(int layer, int from, int to) {
            Grip left = layers.get(layer).get(from);
            Grip right = layers.get(layer + 1).get(to);
            boolean slurred = layer >= moments.size() || isSlurred(moments.get(layer), left, right);
            return changes.effort(left, right) + (slurred ? 0 : UNPLAYABLE);
        }
    }
}
