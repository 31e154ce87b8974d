package underhand.picking;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import underhand.chart.Metre;
import underhand.harmony.Style;
import underhand.input.FormatException;
import underhand.input.RangeException;
import underhand.picking.Step.Direction;
import underhand.picking.Step.Strum;

/**
 * What the right hand does in a bar: the bar divided evenly into steps.
 *
 * @param metre of the bars it fits
 * @param swing whether the first of two eighths is twice as long as the second
 * @param styles of music it belongs to; none for one of nobody knows which
 * @param lowestRung first rung whose hand it suits
 * @param slowest beats a minute from which it carries a song
 * @param fastest beats a minute up to which it does
 * @param variation id of the pattern for every fourth bar, where it has one
 */
public record PickingPattern(
        String id,
        String name,
        Metre metre,
        boolean swing,
        Set<Style> styles,
        int lowestRung,
        int slowest,
        int fastest,
        Optional<String> variation,
        List<Step> steps) {

    /** Most steps a bar may have. */
    public static final int MOST_STEPS = 48;

    private static final double SAME = 1e-6;

    private static final Map<Metre, PickingPattern> BEATS = new ConcurrentHashMap<>();

    public PickingPattern {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(name, "name");
        Objects.requireNonNull(metre, "metre");
        Objects.requireNonNull(variation, "variation");
        styles = Set.copyOf(styles);
        steps = List.copyOf(steps);
        if (steps.isEmpty() || steps.size() > MOST_STEPS || steps.size() % metre.beats() != 0) {
            throw new RangeException(
                    "steps",
                    "a pattern in " + metre + " has " + metre.beats() + " steps or a multiple of it, at most "
                            + MOST_STEPS + "; was " + steps.size());
        }
        if (steps.stream().noneMatch(Step::strikes)) {
            throw new RangeException("steps", "a pattern strikes at least once; all its steps are dots");
        }
        boolean strums = steps.stream().anyMatch(Strum.class::isInstance);
        if (strums && steps.stream().anyMatch(Step.Pick.class::isInstance)) {
            throw new RangeException("steps", "a pattern is strummed or picked, not both");
        }
        if (strums) {
            int off = unsteady(steps);
            if (off >= 0) {
                throw FormatException.inStep(
                        "pattern",
                        steps.get(off).toString(),
                        off,
                        "a strumming hand keeps going down and up; a stroke here has to go the other way.");
            }
        }
    }

    /** Reads a pattern that was written down: see {@link #toSteps} for the form of its steps. */
    public static PickingPattern parse(
            String id, String name, String metre, boolean swing, int lowestRung, String steps) {
        return new PickingPattern(
                id,
                name,
                Metre.parse(metre),
                swing,
                Set.of(),
                lowestRung,
                20,
                400,
                Optional.empty(),
                StepReader.read(steps));
    }

    /** One stroke down on every beat. */
    public static PickingPattern beat(Metre metre) {
        return BEATS.computeIfAbsent(
                metre,
                m -> new PickingPattern(
                        "beat",
                        "a stroke a beat",
                        m,
                        false,
                        Set.of(),
                        1,
                        20,
                        400,
                        Optional.empty(),
                        Collections.nCopies(m.beats(), StepReader.read("D").get(0))));
    }

    /** One stroke down where the bar begins: nothing leaves a hand more time. */
    public static PickingPattern bar(Metre metre) {
        List<Step> steps = new ArrayList<>(Collections.nCopies(metre.beats(), Step.REST));
        steps.set(0, StepReader.read("D").get(0));
        return new PickingPattern(
                "bar", "one stroke a bar", metre, false, Set.of(), 1, 20, 400, Optional.empty(), steps);
    }

    /**
     * The same, silent after a beat of the bar; its first stroke is always played.
     *
     * @param beat counted from 1
     */
    public PickingPattern until(double beat) {
        List<Step> kept = new ArrayList<>(steps);
        int first = 0;
        while (!steps.get(first).strikes()) {
            first++;
        }
        for (int step = first + 1; step < kept.size(); step++) {
            kept.set(step, 1 + step * stepBeats() > beat + SAME ? Step.REST : kept.get(step));
        }
        return new PickingPattern(id, name, metre, swing, styles, lowestRung, slowest, fastest, variation, kept);
    }

    /** By the id alone: patterns are looked up for every chord of a song. */
    @Override
    public int hashCode() {
        return id.hashCode();
    }

    /**
     * The first stroke against the steady motion of the hand, or -1. The hand goes down on even steps and up on odd ones,
     * or twice as fast and only ever strikes on its way down.
     */
    private static int unsteady(List<Step> steps) {
        boolean allDown = steps.stream().filter(Step::strikes).allMatch(s -> ((Strum) s).direction() == Direction.DOWN);
        if (allDown) {
            return -1;
        }
        for (int i = 0; i < steps.size(); i++) {
            if (steps.get(i) instanceof Strum strum && strum.direction() != along(i)) {
                return i;
            }
        }
        return -1;
    }

    private static Direction along(int step) {
        return step % 2 == 0 ? Direction.DOWN : Direction.UP;
    }

    /** Whether it is a plain stroke down on every beat: what is played where nothing is chosen. */
    public boolean isBeat() {
        return !swing && steps.equals(beat(metre).steps());
    }

    public boolean isStrummed() {
        return steps.stream().anyMatch(Strum.class::isInstance);
    }

    /** Beats a step lasts. */
    public double stepBeats() {
        return (double) metre.beats() / steps.size();
    }

    /** Most strokes in any beat: what its speed hangs on. */
    public int densestBeat() {
        int perBeat = steps.size() / metre.beats();
        int most = 0;
        for (int beat = 0; beat < metre.beats(); beat++) {
            int strokes = (int) steps.subList(beat * perBeat, (beat + 1) * perBeat).stream()
                    .filter(Step::strikes)
                    .count();
            most = Math.max(most, strokes);
        }
        return most;
    }

    /** Direction of the moving hand on a step. */
    Direction motion(int step) {
        boolean onlyDown = steps.stream()
                .filter(Step::strikes)
                .allMatch(s -> s instanceof Strum strum && strum.direction() == Direction.DOWN);
        return onlyDown ? Direction.DOWN : along(step);
    }

    /** Whether it has a step on which anything but a whole plain stroke sounds: ghost strokes, accents, muted ones. */
    public boolean isColoured() {
        return steps.stream().map(Step::toString).anyMatch(s -> s.matches(".*[>x_^]"));
    }

    /** The steps as {@link StepReader} reads them. */
    public String toSteps() {
        return steps.stream().map(Step::toString).collect(Collectors.joining(" "));
    }

    /** Strokes in a bar. */
    public int strokes() {
        return (int) steps.stream().filter(Step::strikes).count();
    }

    @Override
    public String toString() {
        return id + " " + metre + " " + toSteps();
    }
}
