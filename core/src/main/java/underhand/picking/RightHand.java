package underhand.picking;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Collectors;
import underhand.neck.Tuning;

/**
 * Gives every plucked string its finger: the school's own finger where it can, another where the same finger would have to
 * pluck two fast notes in a row. Exact, by dynamic programming over the plucks.
 */
public final class RightHand {

    private static final int FINGERS = Finger.values().length;
    private static final double NEVER = 1e6;

    /** A finger that plucks twice in a row, even slowly: less even than two that alternate (memory). */
    private static final double AGAIN = 0.2;

    /** Fingers that lie crossed over the strings between two plucks (memory). */
    private static final double CROSSED = 0.6;

    /** The thumb among the fingers' strings, on top of its distance (memory). */
    private static final double AWAY = 0.5;

    /** The guitar on which a pattern is fingered before its song is known. */
    private static final int STRINGS = Tuning.STANDARD.size();

    /** Strings of the roles over a chord that sounds on all of its strings, from the lowest. */
    private static final Map<Role, Integer> DEFAULT_STRINGS =
            Map.of(Role.ROOT, 0, Role.OTHER_BASS, 1, Role.LOW, 3, Role.MIDDLE, 4, Role.HIGH, 5);

    private final School school;
    private final double fastSeconds;

    public RightHand(School school, double fastSeconds) {
        this.school = school;
        this.fastSeconds = fastSeconds;
    }

    /**
     * Strings plucked together.
     *
     * @param seconds when
     * @param strings indices from the lowest, rising
     * @param roles what each string is to the hand
     */
    public record Pluck(double seconds, List<Integer> strings, List<Role> roles) {}

    /** For each pluck a finger for each of its strings. */
    public List<List<Finger>> fingers(List<Pluck> plucks) {
        if (plucks.isEmpty()) {
            return List.of();
        }
        List<List<List<Finger>>> choices =
                plucks.stream().map(p -> assignments(p.strings().size())).toList();
        double[][] cost = new double[plucks.size()][];
        int[][] from = new int[plucks.size()][];
        for (int i = 0; i < plucks.size(); i++) {
            cost[i] = new double[choices.get(i).size()];
            from[i] = new int[choices.get(i).size()];
            for (int choice = 0; choice < cost[i].length; choice++) {
                double least = i == 0 ? 0 : Double.POSITIVE_INFINITY;
                for (int before = 0; i > 0 && before < cost[i - 1].length; before++) {
                    double way = cost[i - 1][before]
                            + between(
                                    plucks.get(i - 1),
                                    choices.get(i - 1).get(before),
                                    plucks.get(i),
                                    choices.get(i).get(choice));
                    if (way < least) {
                        least = way;
                        from[i][choice] = before;
                    }
                }
                cost[i][choice] = least + own(plucks.get(i), choices.get(i).get(choice));
            }
        }
        List<List<Finger>> fingers = new ArrayList<>();
        int last = plucks.size() - 1;
        int at = cheapest(cost[last]);
        for (int i = last; i >= 0; i--) {
            fingers.add(0, choices.get(i).get(at));
            at = from[i][at];
        }
        return fingers;
    }

    /**
     * The fingers of a picked pattern played twice through over a chord on all strings of a guitar in standard tuning: what
     * the second time has, for each stroke {@code p}, {@code im} and so on.
     *
     * @param beatSeconds length of a beat
     */
    public List<String> fingers(PickingPattern pattern, double beatSeconds) {
        List<Pluck> plucks = new ArrayList<>();
        int steps = pattern.steps().size();
        for (int i = 0; i < 2 * steps; i++) {
            if (pattern.steps().get(i % steps) instanceof Step.Pick pick) {
                plucks.add(overWholeChord(pick, i * pattern.stepBeats() * beatSeconds));
            }
        }
        return fingers(plucks).stream()
                .skip(plucks.size() / 2)
                .map(together -> together.stream().map(Finger::letter).collect(Collectors.joining()))
                .toList();
    }

    private static Pluck overWholeChord(Step.Pick pick, double seconds) {
        SortedMap<Integer, Role> strings = new TreeMap<>();
        pick.roles().forEach(role -> strings.put(DEFAULT_STRINGS.get(role), role));
        pick.strings().forEach(number -> strings.put(STRINGS - number, Role.ofString(number)));
        return new Pluck(seconds, List.copyOf(strings.keySet()), List.copyOf(strings.values()));
    }

    private static int cheapest(double[] costs) {
        double least = Arrays.stream(costs).min().orElseThrow();
        for (int i = 0; i < costs.length; i++) {
            if (costs[i] == least) {
                return i;
            }
        }
        throw new IllegalStateException("no cheapest of none");
    }

    /** All ways to put rising fingers on so many rising strings. */
    private static List<List<Finger>> assignments(int strings) {
        List<List<Finger>> all = new ArrayList<>();
        for (int set = 1; set < 1 << FINGERS; set++) {
            if (Integer.bitCount(set) == strings) {
                List<Finger> fingers = new ArrayList<>();
                for (Finger finger : Finger.values()) {
                    if ((set & 1 << finger.ordinal()) != 0) {
                        fingers.add(finger);
                    }
                }
                all.add(fingers);
            }
        }
        if (all.isEmpty()) {
            throw new IllegalArgumentException("four fingers pluck 1 to 4 strings together, was " + strings);
        }
        return all;
    }

    /** How far the fingers are from the school's own. */
    private double own(Pluck pluck, List<Finger> fingers) {
        double cost = 0;
        for (int i = 0; i < fingers.size(); i++) {
            Finger usual = usual(pluck, i);
            cost += Math.abs(fingers.get(i).ordinal() - usual.ordinal());
            cost += fingers.get(i) == Finger.P && usual != Finger.P ? AWAY : 0;
        }
        return cost;
    }

    private Finger usual(Pluck pluck, int index) {
        boolean chord = school == School.THUMB_LED && pluck.strings().size() > 2;
        School own = chord ? School.PIMA : school;
        return own.finger(pluck.roles().get(index));
    }

    private double between(Pluck before, List<Finger> left, Pluck after, List<Finger> reached) {
        double cost = 0;
        boolean fast = after.seconds() - before.seconds() < fastSeconds;
        for (int i = 0; i < reached.size(); i++) {
            int same = left.indexOf(reached.get(i));
            if (same >= 0) {
                cost += fast ? NEVER : AGAIN;
            }
        }
        for (int i = 0; i < left.size(); i++) {
            for (int j = 0; j < reached.size(); j++) {
                int fingers =
                        Integer.compare(left.get(i).ordinal(), reached.get(j).ordinal());
                int strings =
                        Integer.compare(before.strings().get(i), after.strings().get(j));
                cost += fingers * strings < 0 ? CROSSED : 0;
            }
        }
        return cost;
    }
}
