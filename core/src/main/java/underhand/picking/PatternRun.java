package underhand.picking;

import java.util.ArrayList;
import java.util.List;
import underhand.chart.Metre;
import underhand.picking.Step.Sound;
import underhand.picking.Step.Span;
import underhand.picking.Step.Strum;
import underhand.picking.Step.Weight;

/**
 * A pattern laid over a chord.
 *
 * <p>A strumming hand goes on through the bar, whatever chord begins in it; a picked pattern begins anew with a chord that
 * begins inside a bar. A chord is always struck when it begins, also where the pattern has no stroke; a stroke less than a
 * step from that of a chord's start is left out. In bars of another metre than the pattern's a stroke a beat is played.
 */
public final class PatternRun {

    private static final double SAME = 1e-6;

    private PatternRun() {}

    /**
     * A stroke over a chord, in beats after the chord's start.
     *
     * @param until beats to the next stroke, or to the chord's end
     */
    public record Struck(double from, double until, Step step) {}

    /**
     * The strokes over a chord.
     *
     * @param metre of the bar it stands in
     * @param beat where it starts in the bar, from 1
     * @param beats how long it lasts; it may go on into later bars
     */
    public static List<Struck> over(PickingPattern pattern, Metre metre, double beat, double beats) {
        PickingPattern fitting = pattern.metre().equals(metre) ? pattern : PickingPattern.beat(metre);
        double step = fitting.stepBeats();
        double offset = fitting.isStrummed() ? beat - 1 : 0;
        List<Struck> struck = new ArrayList<>();
        long first = (long) Math.ceil(offset / step - SAME);
        if (first * step - offset > SAME || !stepAt(fitting, first).strikes()) {
            struck.add(new Struck(0, beats, opening(fitting, Math.round(Math.floor(offset / step + SAME)))));
        }
        for (long i = first; i * step - offset < beats - SAME; i++) {
            Step at = stepAt(fitting, i);
            double from = i * step - offset;
            boolean afterLast =
                    struck.isEmpty() || from - struck.get(struck.size() - 1).from() > step - SAME;
            boolean beforeNext = struck.isEmpty() || beats - from > step - SAME;
            if (at.strikes() && afterLast && beforeNext) {
                struck.add(new Struck(Math.max(0, from), beats, at));
            }
        }
        List<Struck> bounded = new ArrayList<>();
        for (int i = 0; i < struck.size(); i++) {
            Struck one = struck.get(i);
            double until = i + 1 < struck.size() ? struck.get(i + 1).from() : beats;
            bounded.add(new Struck(one.from(), until, one.step()));
        }
        return bounded;
    }

    private static Step stepAt(PickingPattern pattern, long index) {
        return pattern.steps().get((int) (index % pattern.steps().size()));
    }

    /** The stroke that opens a chord where the pattern has none: a whole strum the way the hand goes, or its first pluck. */
    private static Step opening(PickingPattern pattern, long index) {
        if (pattern.isStrummed()) {
            int step = (int) (index % pattern.steps().size());
            return new Strum(pattern.motion(step), Span.ALL, Weight.NORMAL, Sound.RING);
        }
        return pattern.steps().stream().filter(Step::strikes).findFirst().orElseThrow();
    }
}
