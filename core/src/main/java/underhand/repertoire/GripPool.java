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
import underhand.work.Work;

/**
 * The grips of one chord, found only as far as they are asked for.
 *
 * <p>Shapes wait in the order of what they cost at least, first at a glance and, when their turn comes, looked at closely.
 * They are fingered one after another until none that waits can be among the cheapest. Shapes that cost more at a glance than
 * any that is looked at yet are not even put together: a neck of nine strings has millions of them. Not safe to share between
 * threads.
 */
public final class GripPool {

    /**
     * The cheapest grips of a chord.
     *
     * @param candidates cheapest first
     * @param leftOutFrom what the cheapest grip costs that was left out; infinite when none was
     */
    public record Cheapest(Candidates candidates, double leftOutFrom) {

        public Cheapest(List<RatedGrip> grips, double leftOutFrom) {
            this(new Candidates(grips), leftOutFrom);
        }

        public List<RatedGrip> grips() {
            return candidates.grips();
        }
    }

    /**
     * A shape before it is fingered.
     *
     * @param habit what it costs that the player does not know it
     * @param atLeast no fingering of it costs less
     * @param isExact whether that is all that can be told without fingering it
     */
    record Candidate(Shape shape, boolean isNew, double habit, double atLeast, boolean isExact)
            implements Comparable<Candidate> {

        @Override
        public int compareTo(Candidate other) {
            int byCost = Double.compare(atLeast, other.atLeast);
            return byCost != 0 ? byCost : shape.compareInSearch(other.shape);
        }
    }

    /** Where the shapes of a chord and their fingerings come from. */
    interface Source {

        /**
         * The shapes of the chord with what is told at a glance of their cost.
         *
         * @param above only those that cost more than this at a glance
         * @param most and no more than this
         */
        List<Candidate> candidates(Rung level, double above, double most);

        /** The same shape, looked at closely. */
        Candidate exactly(Candidate candidate, Rung level);

        /** Adds every fingering a hand can hold. */
        void finger(Candidate candidate, Rung level, List<RatedGrip> found);
    }

    /** What a shape may cost at a glance to be among the first, how much further is looked then, and from where on at all. */
    private static final double FIRST_GLANCE = 10;

    private static final double FURTHER = 1.4;

    /** How much further where nothing was found yet: each step finds many times what the one before did. */
    private static final double FURTHER_FROM_NOTHING = 1.12;

    private static final double LAST_GLANCE = 64;

    private final Source source;

    /** No more than the easiest so many are ever looked at. */
    private final int cap;

    private final List<RatedGrip> found = new ArrayList<>();
    private Rung level;

    /** Shapes not fingered yet, of those that cost no more at a glance than {@link #glanced}. */
    private final PriorityQueue<Candidate> waiting = new PriorityQueue<>();

    private double glanced = Double.NEGATIVE_INFINITY;

    /** Searches for nothing until it is asked. */
    GripPool(Source source, Rung rung) {
        this(source, rung, Integer.MAX_VALUE);
    }

    /**
     * One that has no more than the easiest grips of a chord.
     *
     * @param cap how many
     */
    GripPool(Source source, Rung rung, int cap) {
        this.source = source;
        this.level = rung;
        this.cap = cap;
    }

    /**
     * The cheapest grips within the rung's limits; of the next rung that has any when it has none. The same whatever was
     * asked before.
     *
     * @param most how many are wanted
     */
    public Cheapest cheapest(int most) {
        if (most > cap) {
            return new Cheapest(cheapest(cap).grips(), Double.POSITIVE_INFINITY);
        }
        int withNext = most == Integer.MAX_VALUE ? most : most + 1;
        search(withNext);
        while (found.isEmpty() && level.level() < Rung.HIGHEST) {
            level = Rung.of(level.level() + 1);
            glanced = Double.NEGATIVE_INFINITY;
            search(withNext);
        }
        found.sort(Comparator.comparingDouble(g -> g.effort().total()));
        return most >= found.size() || most == cap
                ? new Cheapest(found.subList(0, Math.min(most, found.size())), Double.POSITIVE_INFINITY)
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

    /** Every shape of the chord, whether a hand of the rung can hold it or not. */
    Set<Shape> shapes() {
        Set<Shape> shapes = new HashSet<>();
        source.candidates(level, Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY)
                .forEach(c -> shapes.add(c.shape()));
        return shapes;
    }

    private void search(int most) {
        if (most == Integer.MAX_VALUE) {
            searchAll();
            return;
        }
        PriorityQueue<Double> dearestKept = new PriorityQueue<>(Comparator.reverseOrder());
        found.forEach(g -> keep(dearestKept, g, most));
        for (double next = nextAtLeast();
                next < Double.POSITIVE_INFINITY && (dearestKept.size() < most || next < dearestKept.peek());
                next = nextAtLeast()) {
            Work.check();
            int before = found.size();
            source.finger(waiting.poll(), level, found);
            found.subList(before, found.size()).forEach(g -> keep(dearestKept, g, most));
        }
    }

    /** What the cheapest shape that is left costs at least; infinite when none is. It is then the first that waits. */
    private double nextAtLeast() {
        while (true) {
            if (waiting.isEmpty() || waiting.peek().atLeast() > glanced) {
                if (glanced == Double.POSITIVE_INFINITY) {
                    return waiting.isEmpty()
                            ? Double.POSITIVE_INFINITY
                            : waiting.peek().atLeast();
                }
                glanceFurther();
            } else if (waiting.peek().isExact()) {
                return waiting.peek().atLeast();
            } else {
                waiting.add(source.exactly(waiting.poll(), level));
            }
        }
    }

    private void glanceFurther() {
        double further = found.isEmpty() && waiting.isEmpty() ? FURTHER_FROM_NOTHING : FURTHER;
        double from = glanced < FIRST_GLANCE ? FIRST_GLANCE : glanced * further;
        glanceTo(from > LAST_GLANCE ? Double.POSITIVE_INFINITY : from);
    }

    private void glanceTo(double most) {
        Work.check();
        waiting.addAll(source.candidates(level, glanced, most));
        glanced = most;
    }

    /** Fingers every shape that waits, on all processors. */
    private void searchAll() {
        glanceTo(Double.POSITIVE_INFINITY);
        Candidate[] all = waiting.toArray(new Candidate[0]);
        waiting.clear();
        Arrays.parallelSort(all);
        Work work = Work.current();
        Arrays.stream(all)
                .parallel()
                .map(candidate -> {
                    List<RatedGrip> fingered = new ArrayList<>();
                    return work.doing(() -> {
                        Work.check();
                        source.finger(candidate, level, fingered);
                        return fingered;
                    });
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
