package underhand.bench;

import java.util.Collections;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
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
import underhand.chord.ChordSymbol;
import underhand.desk.Desk;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.neck.Fretboard;
import underhand.neck.Guitar;
import underhand.neck.Shape;
import underhand.neck.Tuning;
import underhand.repertoire.GripFinder;
import underhand.settings.Setting;

/** What a hand on a neck asks for, in many tunings: the grips of a chord that a route needs, and what lies near a shape. */
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class DeskBenchmark {

    private static final String NINE_STRINGS = "C#1 F#1 B1 E2 A2 D3 G3 B3 E4";

    /** A neck and its open strings as a shape. */
    @State(Scope.Benchmark)
    public static class Neck {
        @Param({
            "standard",
            "drop D",
            "DADGAD",
            "open D",
            "open G",
            "open C",
            "all fourths",
            "new standard",
            "high strung",
            "seven string",
            "eight string",
            NINE_STRINGS
        })
        public String tuning;

        final ChordSymbol chord = ChordSymbol.parse("Am7");
        GripFinder finder;
        Desk desk;
        Shape shape;

        @Setup
        public void tune() {
            Fretboard board = new Fretboard(Guitar.ACOUSTIC, Tuning.parse(tuning), 0);
            finder = new GripFinder(board, Rung.of(5), Player.ADULT, Setting.ALONE, GripFinder.HIGHEST_FRET);
            desk = new Desk(board, Player.ADULT);
            shape = Shape.of(Collections.nCopies(board.strings(), 0).stream()
                    .mapToInt(Integer::intValue)
                    .toArray());
        }
    }

    @Benchmark
    public Object gripsARouteNeeds(Neck neck) {
        return neck.finder.pool(neck.chord, 1).cheapest(100);
    }

    @Benchmark
    public Object chordsAFingerAway(Neck neck) {
        return neck.desk.near(neck.shape, Optional.of("D"), 1);
    }

    @Benchmark
    public Object aChordAllOverTheNeck(Neck neck) {
        return neck.desk.kinds(neck.chord);
    }
}
