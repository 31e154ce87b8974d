package underhand.route;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;

/**
 * The least sum of tables over variables of few values each, by eliminating one variable after another (R. Dechter,
 * Bucket elimination, Artificial Intelligence 113, 1999; from memory). Exact; what it costs depends on how the tables
 * hang together: a chain or a ring is cheap whatever its length. Not safe to share between threads.
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

    private final int[] sizes;

    /** The tables that know a variable, by variable. */
    private final List<List<Table>> tables = new ArrayList<>();

    /** The other variables of those tables, by variable. */
    private final List<TreeSet<Integer>> joined = new ArrayList<>();

    /** @param sizes number of values by variable, each at least 1 */
    Elimination(int[] sizes) {
        this.sizes = sizes.clone();
        for (int variable = 0; variable < sizes.length; variable++) {
            tables.add(new ArrayList<>());
            joined.add(new TreeSet<>());
        }
    }

    /** @param costs by value */
    void add(int variable, double[] costs) {
        add(new Table(new int[] {variable}, costs));
    }

    /** @param costs by value of the first variable, then of the second; the first variable is the lower */
    void add(int first, int second, double[] costs) {
        add(new Table(new int[] {first, second}, costs));
    }

    private void add(Table table) {
        for (int variable : table.variables()) {
            tables.get(variable).add(table);
            for (int other : table.variables()) {
                joined.get(variable).add(other);
            }
            joined.get(variable).remove(variable);
        }
    }

    /**
     * The values with the least sum; of equal ones the lower value of the variable that is decided first. Uses the tables
     * up: an elimination is solved once.
     *
     * @param mostEntries how many combinations of values may be looked at for one variable
     * @return value by variable; empty when more would be needed
     */
    Optional<int[]> solve(int mostEntries) {
        List<Choice> choices = new ArrayList<>();
        TreeSet<Integer> open = new TreeSet<>();
        for (int variable = 0; variable < sizes.length; variable++) {
            open.add(variable);
        }
        while (!open.isEmpty()) {
            int next =
                    open.stream().min(Comparator.comparingLong(this::entries)).orElseThrow();
            if (entries(next) > mostEntries) {
                return Optional.empty();
            }
            choices.add(eliminate(next));
            open.remove(next);
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
        return Optional.of(values);
    }

    /** Combinations of values to be looked at when a variable goes; at most the largest int. */
    private long entries(int variable) {
        long entries = sizes[variable];
        for (int other : joined.get(variable)) {
            entries = Math.min(Integer.MAX_VALUE, entries * sizes[other]);
        }
        return entries;
    }

    /** Replaces the tables that know a variable by one of what is least for each combination of the others. */
    private Choice eliminate(int variable) {
        int[] given = joined.get(variable).stream().mapToInt(Integer::intValue).toArray();
        List<Table> knowing = tables.get(variable);
        int entries = Arrays.stream(given).map(g -> sizes[g]).reduce(1, (a, b) -> a * b);
        double[] costs = new double[entries];
        int[] best = new int[entries];
        double[] sums = new double[sizes[variable]];
        for (int entry = 0; entry < entries; entry++) {
            Arrays.fill(sums, 0);
            for (Table table : knowing) {
                int at = offset(table, given, entry);
                int stride = table.stride(variable, sizes);
                for (int value = 0; value < sums.length; value++) {
                    sums[value] += table.costs()[at + value * stride];
                }
            }
            for (int value = 1; value < sums.length; value++) {
                best[entry] = sums[value] < sums[best[entry]] ? value : best[entry];
            }
            costs[entry] = sums[best[entry]];
        }
        for (int other : given) {
            tables.get(other).removeAll(knowing);
            joined.get(other).remove(variable);
        }
        add(new Table(given, costs));
        return new Choice(variable, given, best);
    }

    /** Where a table keeps the first cost of a combination of values. */
    private int offset(Table table, int[] given, int entry) {
        int offset = 0;
        int rest = entry;
        for (int i = given.length - 1; i >= 0; i--) {
            offset += rest % sizes[given[i]] * table.stride(given[i], sizes);
            rest /= sizes[given[i]];
        }
        return offset;
    }
}
