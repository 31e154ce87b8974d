package underhand.bench;

import java.util.List;
import java.util.OptionalInt;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.jgrapht.Graph;
import org.jgrapht.alg.shortestpath.DijkstraShortestPath;
import org.jgrapht.graph.DefaultWeightedEdge;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import underhand.arrange.Arranger;
import underhand.chart.Chart;
import underhand.chord.ChordSymbol;
import underhand.hand.Parameters;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.neck.Fretboard;
import underhand.neck.Guitar;
import underhand.neck.Tuning;
import underhand.repertoire.GripFinder;
import underhand.route.RouteSolver;
import underhand.settings.ArrangementSettings;
import underhand.settings.ReadingChoice;
import underhand.settings.Setting;
import underhand.settings.SoloAsk;

/** The speeds that matter: grips of a chord, a route, a sweep, growth, and the ratio to a general shortest path. */
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 5, time = 3)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class PlannerBenchmark {

    /** One chord over the whole neck. */
    @State(Scope.Benchmark)
    public static class OneChord {
        final ChordSymbol chord = ChordSymbol.parse("Am7");
        final GripFinder finder = new GripFinder(
                new Fretboard(Guitar.ACOUSTIC, Tuning.STANDARD, 0),
                Rung.of(5),
                Player.ADULT,
                Setting.ALONE,
                GripFinder.HIGHEST_FRET,
                Parameters.STANDARD);
    }

    @Benchmark
    public Object gripsOfOneChord(OneChord state) {
        return state.finder.find(state.chord, 1);
    }

    @Benchmark
    public Object cheapest100GripsOfOneChord(OneChord state) {
        return state.finder.pool(state.chord, 1).cheapest(100);
    }

    /** A full lattice of 64 layers with 300 nodes each. */
    @State(Scope.Benchmark)
    public static class FullLattice {
        final RandomLattice lattice = new RandomLattice(64, 300, 1967);
    }

    @Benchmark
    public Object routeOf64BarsWith300Grips(FullLattice state) {
        return RouteSolver.solve(state.lattice);
    }

    /** A lattice small enough for a general graph in memory: 64 layers with 60 nodes each. */
    @State(Scope.Benchmark)
    public static class SameLattice {
        final RandomLattice lattice = new RandomLattice(64, 60, 1989);
        Graph<Integer, DefaultWeightedEdge> graph;

        @Setup
        public void build() {
            graph = lattice.graph();
        }
    }

    @Benchmark
    public Object routeOnTheSameLattice(SameLattice state) {
        return RouteSolver.solve(state.lattice);
    }

    @Benchmark
    public Object jgraphtOnTheSameLattice(SameLattice state) {
        return new DijkstraShortestPath<>(state.graph).getPathWeight(0, 1);
    }

    /** Ten capo positions for each of the five rungs. */
    @Benchmark
    @Warmup(iterations = 5, time = 8)
    @Measurement(iterations = 12, time = 2)
    public Object sweepOf10CaposAnd5Rungs(Arranging state) {
        Object last = null;
        for (int rung = Rung.LOWEST; rung <= Rung.HIGHEST; rung++) {
            last = state.arranger.arrange(state.song64, ArrangementSettings.ofRung(rung));
        }
        return last;
    }

    /** The same with so many readings accepted at every placement that has them. */
    @Benchmark
    @Warmup(iterations = 5, time = 8)
    @Measurement(iterations = 12, time = 2)
    public Object sweepOf10CaposAnd5RungsWithReadings(Arranging state, Accepting accepting) {
        Object last = null;
        for (int rung = Rung.LOWEST; rung <= Rung.HIGHEST; rung++) {
            last = state.arranger.arrange(
                    state.song64, ArrangementSettings.ofRung(rung).withReadings(accepting.accepted.get(rung - 1)));
        }
        return last;
    }

    @State(Scope.Benchmark)
    public static class Arranging {
        final Arranger arranger = new Arranger();
        final Chart song64 = Songs.of(64);
    }

    /** A tune of 256 eighths over 32 bars, for one capo in one octave. */
    @Benchmark
    public Object soloOf32Bars(Singing state) {
        return state.arranger.arrange(
                state.song,
                ArrangementSettings.ofRung(5)
                        .withCapo(0)
                        .withSolo(new SoloAsk(SoloAsk.Under.CHORDS, OptionalInt.of(0), List.of())));
    }

    /** The same for every capo, in every octave that may do. */
    @Benchmark
    @Measurement(iterations = 5, time = 5)
    public Object soloOf32BarsSwept(Singing state) {
        return state.arranger.arrange(state.song, ArrangementSettings.ofRung(5).withSolo(SoloAsk.OPEN));
    }

    @State(Scope.Benchmark)
    public static class Singing {
        final Arranger arranger = new Arranger();
        final Chart song = Songs.sung(32);
    }

    @State(Scope.Benchmark)
    public static class Accepting {
        @Param({"1", "2"})
        public int readings;

        /** Accepted readings, by rung. */
        List<List<ReadingChoice>> accepted;

        @Setup
        public void accept(Arranging arranging) {
            accepted = IntStream.rangeClosed(Rung.LOWEST, Rung.HIGHEST)
                    .mapToObj(rung -> Songs.accepting(readings, arranging.arranger, arranging.song64, rung))
                    .toList();
        }
    }

    /** A sweep of a song of so many bars on rung 3. */
    @State(Scope.Benchmark)
    public static class Growing {
        @Param({"16", "64", "256", "1024"})
        public int bars;

        Chart song;

        @Setup
        public void build() {
            song = Songs.of(bars);
        }
    }

    @Benchmark
    @Measurement(iterations = 12, time = 2)
    public Object sweepOfSongOfBars(Growing state, Arranging arranging) {
        return arranging.arranger.arrange(state.song, ArrangementSettings.ofRung(3));
    }
}
