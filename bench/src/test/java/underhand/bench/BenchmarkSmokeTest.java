package underhand.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.jgrapht.alg.shortestpath.DijkstraShortestPath;
import org.junit.jupiter.api.Test;
import underhand.route.RouteSolver;

/** Every benchmark runs once, so that none of them rots; and the two that are compared find the same optimum. */
class BenchmarkSmokeTest {

    private final PlannerBenchmark benchmark = new PlannerBenchmark();

    @Test
    void everyBenchmark_runsOnce() {
        assertNotNull(benchmark.gripsOfOneChord(new PlannerBenchmark.OneChord()));
        assertNotNull(benchmark.routeOf64BarsWith300Grips(new PlannerBenchmark.FullLattice()));
        PlannerBenchmark.Growing growing = new PlannerBenchmark.Growing();
        growing.bars = 16;
        growing.build();
        assertNotNull(benchmark.sweepOfSongOfBars(growing, new PlannerBenchmark.Arranging()));
        assertNotNull(benchmark.soloOf32Bars(new PlannerBenchmark.Singing()));
        DeskBenchmark.Neck neck = new DeskBenchmark.Neck();
        neck.tuning = "seven string";
        neck.tune();
        DeskBenchmark desk = new DeskBenchmark();
        assertNotNull(desk.gripsARouteNeeds(neck));
        assertNotNull(desk.chordsAFingerAway(neck));
        assertNotNull(desk.aChordAllOverTheNeck(neck));
        PlannerBenchmark.Arranging arranging = new PlannerBenchmark.Arranging();
        assertNotNull(benchmark.sweepOf10CaposAnd5Rungs(arranging));
        PlannerBenchmark.Accepting accepting = new PlannerBenchmark.Accepting();
        accepting.readings = 2;
        accepting.accept(arranging);
        assertTrue(accepting.accepted.get(3).size() > 64, "readings at most placements");
        assertNotNull(benchmark.sweepOf10CaposAnd5RungsWithReadings(arranging, accepting));
    }

    @Test
    void comparedBenchmarks_findTheSameOptimum() {
        RandomLattice lattice = new RandomLattice(20, 30, 7);
        double theirs = new DijkstraShortestPath<>(lattice.graph()).getPathWeight(0, 1);
        assertEquals(theirs, RouteSolver.solve(lattice).total(), 1e-6);
        assertTrue(theirs > 0);
    }
}
