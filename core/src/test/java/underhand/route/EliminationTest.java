package underhand.route;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

class EliminationTest {

    /** Costs of single values and of values of two variables together, kept beside the elimination to add them up by hand. */
    private record Problem(int[] sizes, double[][] alone, List<Pair> pairs) {

        record Pair(int first, int second, double[] costs) {}

        static Problem random(Random random, int variables, double density) {
            int[] sizes = random.ints(variables, 1, 5).toArray();
            double[][] alone = new double[variables][];
            List<Pair> pairs = new ArrayList<>();
            for (int v = 0; v < variables; v++) {
                alone[v] = random.doubles(sizes[v]).toArray();
                for (int other = v + 1; other < variables; other++) {
                    if (random.nextDouble() < density) {
                        double[] costs = random.doubles((long) sizes[v] * sizes[other])
                                .map(c -> c > 0.9 ? Double.POSITIVE_INFINITY : c)
                                .toArray();
                        pairs.add(new Pair(v, other, costs));
                    }
                }
            }
            return new Problem(sizes, alone, pairs);
        }

        Optional<int[]> solve(long mostEntries) {
            List<int[]> joined =
                    pairs.stream().map(p -> new int[] {p.first(), p.second()}).toList();
            return Elimination.order(sizes, joined, mostEntries).map(this::solve);
        }

        private int[] solve(Elimination.Order order) {
            Elimination elimination = new Elimination(sizes);
            for (int v = 0; v < alone.length; v++) {
                elimination.add(v, alone[v]);
            }
            pairs.forEach(p -> elimination.add(p.first(), p.second(), p.costs()));
            return elimination.solve(order);
        }

        double cost(int[] values) {
            double cost = 0;
            for (int v = 0; v < values.length; v++) {
                cost += alone[v][values[v]];
            }
            for (Pair pair : pairs) {
                cost += pair.costs()[values[pair.first()] * sizes[pair.second()] + values[pair.second()]];
            }
            return cost;
        }

        double least(int[] values, int variable) {
            if (variable == values.length) {
                return cost(values);
            }
            double least = Double.POSITIVE_INFINITY;
            for (int value = 0; value < sizes[variable]; value++) {
                values[variable] = value;
                least = Math.min(least, least(values, variable + 1));
            }
            return least;
        }
    }

    @Test
    void solve_randomTables_equalsTryingAllValues() {
        Random random = new Random(1999);
        for (int i = 0; i < 500; i++) {
            Problem problem = Problem.random(random, 1 + random.nextInt(6), random.nextDouble());
            double least = problem.least(new int[problem.sizes().length], 0);
            double found = problem.cost(problem.solve(1_000_000).orElseThrow());
            assertEquals(least, found, 1e-9, "seed 1999, case " + i);
        }
    }

    /** A ring needs three variables at a time however long it is; all with all need all at once. */
    @Test
    void solve_withTooFewEntries_saysSoInsteadOfGuessing() {
        Problem all = Problem.random(new Random(3), 6, 1);
        int together = 1;
        for (int size : all.sizes()) {
            together *= size;
        }
        assertTrue(all.solve((long) together * all.sizes().length).isPresent());
        assertTrue(all.solve(together - 1).isEmpty());
        int length = 60;
        int[] sizes = new Random(4).ints(length, 4, 5).toArray();
        Elimination ring = new Elimination(sizes);
        List<int[]> joined = new ArrayList<>();
        for (int v = 0; v < length; v++) {
            int next = (v + 1) % length;
            // Neighbours that differ cost nothing, equal ones do: an even ring can go round without cost.
            double[] costs = {1, 0, 1, 1, 0, 1, 1, 1, 1, 1, 1, 0, 1, 1, 0, 1};
            ring.add(Math.min(v, next), Math.max(v, next), costs);
            joined.add(new int[] {Math.min(v, next), Math.max(v, next)});
        }
        assertTrue(Elimination.order(sizes, joined, 64).isEmpty());
        int[] values = ring.solve(Elimination.order(sizes, joined, 64L * length).orElseThrow());
        for (int v = 0; v < length; v += 2) {
            assertArrayEquals(new int[] {values[0], values[1]}, new int[] {values[v], values[v + 1]});
        }
    }
}
