package underhand.solve;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import underhand.chart.Chart;
import underhand.chart.Metre;
import underhand.neck.Fretboard;
import underhand.picking.PatternRun;
import underhand.picking.PickingPattern;
import underhand.picking.PlayedPatterns;
import underhand.repertoire.Candidates;
import underhand.repertoire.RatedGrip;

/** The time there is to leave each grip of a song, kept by the strokes over its chord. For one thread. */
final class StrokeTiming {

    private final PlayedPatterns patterns;
    private final Fretboard board;
    private final Map<Strokes, List<PatternRun.Struck>> runs = new HashMap<>();

    private final Map<Candidates, Map<Strokes, double[]>> known = new HashMap<>();

    private record Strokes(PickingPattern pattern, Metre metre, double beat, double beats) {}

    StrokeTiming(PlayedPatterns patterns, Fretboard board) {
        this.patterns = patterns;
        this.board = board;
    }

    /** Whether the chord is picked string by string, so that the right hand can leave silent strings out. */
    boolean isPicked(Chart.Slot slot) {
        return !patterns.pattern(slot).isStrummed();
    }

    /** Seconds there are after a segment of a placement, for each of the grips it may be played with. */
    double[] secondsToLeave(Chart.Slot slot, Segment segment, Candidates candidates) {
        Strokes strokes = strokes(slot, segment);
        return known.computeIfAbsent(candidates, c -> new HashMap<>())
                .computeIfAbsent(
                        strokes,
                        key -> candidates.grips().stream()
                                .mapToDouble(g -> seconds(strokes, segment, g))
                                .toArray());
    }

    /** The same for one grip. */
    double secondsToLeave(Chart.Slot slot, Segment segment, RatedGrip grip) {
        return seconds(strokes(slot, segment), segment, grip);
    }

    private Strokes strokes(Chart.Slot slot, Segment segment) {
        return new Strokes(patterns.pattern(slot), slot.metre(), segment.beat(), segment.beats());
    }

    private double seconds(Strokes strokes, Segment segment, RatedGrip grip) {
        List<PatternRun.Struck> run =
                runs.computeIfAbsent(strokes, s -> PatternRun.over(s.pattern(), s.metre(), s.beat(), s.beats()));
        return patterns.secondsToLeave(run, segment.beats(), grip.grip().shape(), segment.sounding(), board);
    }
}
