package underhand.repertoire;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.PriorityQueue;
import java.util.Set;
import underhand.hand.Rung;
import underhand.neck.Shape;

/**
 * The grips of one chord, found only as far as they are asked for.
 *
 * <p>Shapes wait in the order of what they cost at least, first at a glance and, when their turn comes, looked at closely.
 * They are fingered one after another until none that waits can be among the cheapest. Not safe to share between threads.
 */
public final class GripPool {

    /**
     * The cheapest grips of a chord.
     *
     * @param grips cheapest first
     * @param leftOutFrom what the cheapest grip costs that was left out; infinite when none was
     */
    public record Cheapest(List<RatedGrip> grips, double leftOutFrom) {

        public Cheapest {
            grips = List.copyOf(grips);
        }
    }

    /**
     * A shape before it is fingered.
     *
     * @param atLeast no fingering of it costs less
     * @param isExact whether that is all that can be told without fingering it
     * @param number place in the search; of equal costs the lower goes first
     */
    record Candidate(Shape shape, boolean isNew, double atLeast, boolean isExact, int number)
            implements Comparable<Candidate> {

        @Override
        public int compareTo(Candidate other) {
            int byCost = Double.compare(atLeast, other.atLeast);
            return byCost != 0 ? byCost : Integer.compare(number, other.number);
        }
    }

    /** Where the shapes of a chord and their fingerings come from. */
    interface Source {

        /** Every shape of the chord with what is told at a glance of its cost. */
        List<Candidate> candidates(Rung level);

        /** The same shape, looked at closely. */
        Candidate exactly(Candidate candidate, Rung level);

        /** Adds every fingering a hand can hold. */
        void finger(Candidate candidate, Rung level, List<RatedGrip> found);
    }

    private final Source source;
    private final List<RatedGrip> found = new ArrayList<>();
    private Rung level;

    /** Shapes not fingered yet; null before the first search. */
    private PriorityQueue<Candidate> waiting;

    /** Searches for nothing until it is asked. */
    GripPool(Source source, Rung rung) {
        this.source = source;
        this.level = rung;
    }

    /**
     * The cheapest grips within the rung's limits; of the next rung that has any when it has none. The same whatever was
     * asked before.
     *
     * @param most how many are wanted
     */
    public Cheapest cheapest(int most) {
        int withNext = most == Integer.MAX_VALUE ? most : most + 1;
        waiting = waiting == null ? new PriorityQueue<>(source.candidates(level)) : waiting;
        search(withNext);
        while (found.isEmpty() && level.level() < Rung.HIGHEST) {
            level = Rung.of(level.level() + 1);
            waiting = new PriorityQueue<>(source.candidates(level));
            search(withNext);
        }
        found.sort(Comparator.comparingDouble(g -> g.effort().total()));
        return most >= found.size()
                ? new Cheapest(found, Double.POSITIVE_INFINITY)
                : new Cheapest(found.subList(0, most), found.get(most).effort().total());
    }

    /** The cheapest grips, and every further fingering of their shapes: a change may want it. */
    public Cheapest cheapestInAllFingerings(int most) {
        Cheapest cheapest = cheapest(most);
        Set<Shape> shapes = new HashSet<>();
        cheapest.grips().forEach(g -> shapes.add(g.grip().shape()));
        return new Cheapest(
                found.stream().filter(g -> shapes.contains(g.grip().shape())).toList(), cheapest.leftOutFrom());
    }

    private void search(int most) {
        if (most == Integer.MAX_VALUE) {
            searchAll();
            return;
        }
        PriorityQueue<Double> dearestKept = new PriorityQueue<>(Comparator.reverseOrder());
        found.forEach(g -> keep(dearestKept, g, most));
        for (double next = nextAtLeast();
                !waiting.isEmpty() && (dearestKept.size() < most || next < dearestKept.peek());
                next = nextAtLeast()) {
            int before = found.size();
            source.finger(waiting.poll(), level, found);
            found.subList(before, found.size()).forEach(g -> keep(dearestKept, g, most));
        }
    }

    /** What the cheapest shape that waits costs at least; infinite when none does. */
    private double nextAtLeast() {
        while (!waiting.isEmpty() && !waiting.peek().isExact()) {
            waiting.add(source.exactly(waiting.poll(), level));
        }
        return waiting.isEmpty() ? Double.POSITIVE_INFINITY : waiting.peek().atLeast();
    }

    /** Fingers every shape that waits, on all processors. */
    private void searchAll() {
        Candidate[] all = waiting.toArray(new Candidate[0]);
        waiting.clear();
        Arrays.parallelSort(all);
        Arrays.stream(all)
                .parallel()
                .map(candidate -> {
                    List<RatedGrip> fingered = new ArrayList<>();
                    source.finger(candidate, level, fingered);
                    return fingered;
                })
                .toList()
                .forEach(found::addAll);
    }

    private static void keep(PriorityQueue<Double> dearest, RatedGrip grip, int most) {
        dearest.add(grip.effort().total());
        if (dearest.size() > most) {
            dearest.poll();
        }
    }
}
