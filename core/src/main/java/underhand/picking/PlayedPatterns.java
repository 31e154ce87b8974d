package underhand.picking;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import underhand.chart.Chart;
import underhand.chord.ChordSymbol;
import underhand.hand.Rung;
import underhand.neck.Fretboard;
import underhand.neck.Shape;
import underhand.picking.Step.Direction;
import underhand.picking.Step.Sound;
import underhand.picking.Step.Span;
import underhand.picking.Step.Strum;
import underhand.picking.Step.Weight;

/**
 * The patterns of a plan as they are played: one that is faster than the rung's hand is thinned to as many even strokes as it
 * has. Route, part, fills and ranking all take strokes, and the time they leave, from here. For one thread.
 */
public final class PlayedPatterns {

    private final PatternPlan plan;
    private final Rung rung;
    private final RightHandLimit limit;
    private final int tempo;
    private final Map<PickingPattern, PickingPattern> played = new HashMap<>();

    public PlayedPatterns(PatternPlan plan, Rung rung, int tempo) {
        this.plan = plan;
        this.rung = rung;
        this.limit = RightHandLimit.of(rung);
        this.tempo = tempo;
    }

    /** What is played in a placement's bar. */
    public PickingPattern pattern(Chart.Slot slot) {
        return played.computeIfAbsent(plan.pattern(slot), this::thinned);
    }

    /** Says that the chosen pattern of a placement's bar is too fast; empty when it is played as it is. */
    public Optional<String> notice(Chart.Slot slot) {
        PickingPattern chosen = plan.pattern(slot);
        return isTooFast(chosen)
                ? Optional.of(String.format(
                        Locale.ROOT,
                        "At %d beats a minute %s needs %.1f strokes a second; a hand of rung %d has %.1f. Fewer are played.",
                        tempo,
                        chosen.name(),
                        strokesASecond(chosen),
                        rung.level(),
                        limit.strokesASecond()))
                : Optional.empty();
    }

    /** Whether the rung's hand has not so many strokes. */
    public boolean isTooFast(PickingPattern pattern) {
        return strokesASecond(pattern) > limit.strokesASecond();
    }

    private double strokesASecond(PickingPattern pattern) {
        return pattern.densestBeat() * tempo / 60.0;
    }

    private PickingPattern thinned(PickingPattern pattern) {
        if (!isTooFast(pattern)) {
            return pattern;
        }
        int beats = pattern.metre().beats();
        int every = 1;
        while (every < beats && tempo / (60.0 * every) > limit.strokesASecond()) {
            every++;
        }
        List<Step> steps = new ArrayList<>(Collections.nCopies(beats, Step.REST));
        for (int beat = 0; beat < beats; beat += every) {
            steps.set(beat, new Strum(Direction.DOWN, Span.ALL, Weight.NORMAL, Sound.RING));
        }
        return new PickingPattern(
                "thinned", "fewer strokes", pattern.metre(), false, Set.of(), 1, 1, 1000, Optional.empty(), steps);
    }

    /** The strokes over a chord that lasts from a beat of its bar, counted from 1, for so many beats. */
    public List<PatternRun.Struck> strokes(Chart.Slot slot, double beat, double beats) {
        return PatternRun.over(pattern(slot), slot.metre(), beat, beats);
    }

    /**
     * Seconds a hand has to leave a chord: from the last stroke on a string it holds to the end of the chord, where the next is
     * struck. Open strings struck last buy time.
     *
     * @param strokes over the chord, as {@link #strokes} gives them
     */
    public double secondsToLeave(
            List<PatternRun.Struck> strokes, double beats, Shape shape, ChordSymbol chord, Fretboard board) {
        int last = strokes.size() - 1;
        if (last > 0 && shape.openStrings() > 0) {
            PickedStrings strings = PickedStrings.of(shape, chord, board);
            while (last > 0 && strings.strikesOnlyOpen(strokes.get(last).step())) {
                last--;
            }
        }
        return (beats - strokes.get(last).from()) * 60 / tempo;
    }
}
