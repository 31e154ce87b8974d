package underhand.route;

import java.nio.DoubleBuffer;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;

/**
 * The least sum of tables over variables of few values each, by eliminating one variable after another (R. Dechter,
 * Bucket elimination, Artificial Intelligence 113, 1999; from memory). Exact; what it costs depends on how the tables
 * hang together: a chain or a ring is cheap whatever its length. Variables that know equal tables in equal positions are
 * eliminated once: a song may have the same passage a hundred times. Not safe to share between threads.
 */
final class Elimination {

    /**
     * Costs of some variables' values together, the last variable's changing fastest.
     *
     * @param variables rising
     */
    private record Table(int[] variables, double[] costs) {

        /** How far apart the costs of neighbouring values of a variable lie; 0 when the table does not know it. */
        int stride(int variable, int[] sizes) {
            int stride = 1;
            for (int i = variables.length - 1; i >= 0; i--) {
                if (variables[i] == variable) {
                    return stride;
                }
                stride *= sizes[variables[i]];
            }
            return 0;
        }
    }

    /** A variable's best value by the values of the variables it was joined with. */
    private record Choice(int variable, int[] given, int[] best) {}

    /**
     * In which order the variables go.
     *
     * @param variables first to last
     * @param given the variables each was joined with when it goes, rising
     */
    record Order(int[] variables, int[][] given) {}

    /** What is least for each combination of the others, and the variable's value there. */
    private record Least(double[] costs, int[] best) {}

    private final int[] sizes;

    /** One array for all that are equal, by their content. */
    private final Map<DoubleBuffer, double[]> shared = new HashMap<>();

    /** Numbers of those arrays. */
    private final Map<double[], Integer> numbers = new IdentityHashMap<>();

    private final Map<List<Integer>, Least> known = new HashMap<>();

    /** The tables that know a variable, by variable. */
    private final List<List<Table>> tables = new ArrayList<>();

    /** @param sizes number of values by variable, each at least 1 */
    Elimination(int[] sizes) {
        this.sizes = sizes.clone();
        for (int variable = 0; variable < sizes.length; variable++) {
            tables.add(new ArrayList<>());
        }
    }

    /**
     * The order in which fewest values are looked at with each variable that goes; of equal ones the lower goes first.
     *
     * @param sizes number of values by variable
     * @param pairs variables that a table has together
     * @param mostEntries combinations of values that may be looked at, over all variables
     * @return empty when more would be needed
     */
    static Optional<Order> order(int[] sizes, Iterable<int[]> pairs, long mostEntries) {
        List<TreeSet<Integer>> joined = new ArrayList<>();
        for (int variable = 0; variable < sizes.length; variable++) {
            joined.add(new TreeSet<>());
        }
        for (int[] pair : pairs) {
            joined.get(pair[0]).add(pair[1]);
            joined.get(pair[1]).add(pair[0]);
        }
        long[] entries = new long[sizes.length];
        TreeSet<Integer> open =
                new TreeSet<>(Comparator.<Integer>comparingLong(v -> entries[v]).thenComparingInt(v -> v));
        for (int variable = 0; variable < sizes.length; variable++) {
            entries[variable] = entries(variable, sizes, joined.get(variable));
            open.add(variable);
        }
        int[] order = new int[sizes.length];
        int[][] given = new int[sizes.length][];
        long sum = 0;
        for (int at = 0; at < order.length; at++) {
            int next = open.pollFirst();
            sum += entries[next];
            if (sum > mostEntries) {
                return Optional.empty();
            }
            order[at] = next;
            given[at] = joined.get(next).stream().mapToInt(Integer::intValue).toArray();
            for (int other : given[at]) {
                open.remove(other);
                TreeSet<Integer> of = joined.get(other);
                of.addAll(joined.get(next));
                of.remove(other);
                of.remove(next);
                entries[other] = entries(other, sizes, of);
                open.add(other);
            }
        }
        return Optional.of(new Order(order, given));
    }

    /** Combinations of values to be looked at when a variable goes; at most the largest int. */
    private static long entries(int variable, int[] sizes, Iterable<Integer> joined) {
        long entries = sizes[variable];
        for (int other : joined) {
            entries = Math.min(Integer.MAX_VALUE, entries * sizes[other]);
        }
        return entries;
    }

    /** @param costs by value */
    void add(int variable, double[] costs) {
        add(new Table(new int[] {variable}, shared(costs)));
    }

    private double[] shared(double[] costs) {
        double[] one = shared.computeIfAbsent(DoubleBuffer.wrap(costs), same -> costs);
        numbers.computeIfAbsent(one, n -> numbers.size());
        return one;
    }

    /** @param costs by value of the first variable, then of the second; the first variable is the lower */
    void add(int first, int second, double[] costs) {
        add(new Table(new int[] {first, second}, shared(costs)));
    }

    private void add(Table table) {
        for (int variable : table.variables()) {
            tables.get(variable).add(table);
        }
    }

    /**
     * The values with the least sum; of equal ones the lower value of the variable that is decided first. Uses the tables
     * up: an elimination is solved once.
     *
     * @return value by variable
     */
    int[] solve(Order order) {
        List<Choice> choices = new ArrayList<>();
        for (int at = 0; at < order.variables().length; at++) {
            choices.add(eliminate(order.variables()[at], order.given()[at]));
        }
        int[] values = new int[sizes.length];
        for (int i = choices.size() - 1; i >= 0; i--) {
            Choice choice = choices.get(i);
            int at = 0;
            for (int given : choice.given()) {
                at = at * sizes[given] + values[given];
            }
            values[choice.variable()] = choice.best()[at];
        }
        return values;
    }

    /** Replaces the tables that know a variable by one of what is least for each combination of the others. */
    private Choice eliminate(int variable, int[] given) {
        List<Table> knowing = tables.get(variable);
        Least least = known.computeIfAbsent(positions(variable, given, knowing), k -> least(variable, given, knowing));
        for (int other : given) {
            tables.get(other).removeIf(knowing::contains);
        }
        if (given.length > 0) {
            add(new Table(given, least.costs()));
        }
        return new Choice(variable, given, least.best());
    }

    /** Which tables a variable knows, and where in each it and the others stand: equal for variables that go alike. */
    private List<Integer> positions(int variable, int[] given, List<Table> knowing) {
        List<Integer> positions = new ArrayList<>();
        for (Table table : knowing) {
            positions.add(numbers.get(table.costs()));
            for (int of : table.variables()) {
                positions.add(of == variable ? -1 : -2 - Arrays.binarySearch(given, of));
            }
        }
        for (int other : given) {
            positions.add(sizes[other]);
        }
        return positions;
    }

    private Least least(int variable, int[] given, List<Table> knowing) {
        int entries = Arrays.stream(given).map(g -> sizes[g]).reduce(1, (a, b) -> a * b);
        double[] costs = new double[entries];
        int[] best = new int[entries];
        double[] sums = new double[sizes[variable]];
        int[] strides =
                knowing.stream().mapToInt(t -> t.stride(variable, sizes)).toArray();
        int[][] steps = knowing.stream()
                .map(t -> Arrays.stream(given).map(g -> t.stride(g, sizes)).toArray())
                .toArray(int[][]::new);
        for (int entry = 0; entry < entries; entry++) {
            Arrays.fill(sums, 0);
            for (int table = 0; table < strides.length; table++) {
                double[] of = knowing.get(table).costs();
                int at = offset(steps[table], given, entry);
                for (int value = 0; value < sums.length; value++) {
                    sums[value] += of[at + value * strides[table]];
                }
            }
            for (int value = 1; value < sums.length; value++) {
                best[entry] = sums[value] < sums[best[entry]] ? value : best[entry];
            }
            costs[entry] = sums[best[entry]];
        }
        return new Least(shared(costs), best);
    }

    /** Where a table keeps the first cost of a combination of values. */
    private int offset(int[] steps, int[] given, int entry) {
        int offset = 0;
        int rest = entry;
        for (int i = given.length - 1; i >= 0; i--) {
            offset += rest % sizes[given[i]] * steps[i];
            rest /= sizes[given[i]];
        }
        return offset;
    }
}
