package underhand.arrange;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import underhand.chart.Chart;
import underhand.hand.Rung;
import underhand.harmony.HarmonyReader;
import underhand.harmony.Preferences;
import underhand.harmony.Reading;
import underhand.harmony.ReadingId;
import underhand.harmony.Rule;
import underhand.harmony.RuleCatalogue;
import underhand.harmony.Spot;
import underhand.neck.Shape;
import underhand.pitch.Interval;
import underhand.settings.ArrangementSettings;
import underhand.settings.HouseRule;
import underhand.settings.ReadingChoice;
import underhand.settings.ReadingChoice.Verdict;
import underhand.solve.PlacedGrip;
import underhand.solve.TimedChange;

/**
 * The ladder of one song: the same chart on all five rungs, each adding something to the rung below.
 *
 * <p>Every rung tries its arrangements from the plainest to the richest, table below. Of all choices that go up, no rung
 * asking less of a beginner than the one below, or holding the song's tempo where that one does and this not, the one is taken on which the fewest rungs add
 * nothing; of equal ones the plainest. All rungs have the song's own capo, but for a step that does without. A chord is made
 * simpler only where that is easier: E7 stays E7; where a chord still needs more, any simplifying rule may help.
 */
public final class Ladder {

    /**
     * A way to arrange on a rung.
     *
     * @param noCapo whether it does without a capo
     * @param moving whether its top line is sought to move
     * @param closed whether shapes without open strings are sought, which move about the neck
     * @param wishes rules in order of preference; a placement takes the first that proposes a reading
     */
    private record Plan(boolean noCapo, boolean moving, boolean closed, List<ReadingId> wishes) {

        static Plan of(String... wishes) {
            return new Plan(false, false, false, ids(wishes));
        }

        Plan withoutCapo() {
            return new Plan(true, moving, closed, wishes);
        }

        Plan withMovingTop() {
            return new Plan(noCapo, true, closed, wishes);
        }

        Plan inClosedShapes() {
            return new Plan(noCapo, moving, true, wishes);
        }

        private static List<ReadingId> ids(String... wishes) {
            return Arrays.stream(wishes).map(ReadingId::parse).toList();
        }
    }

    private static final Interval MAJOR_SEVENTH = Interval.parse("M7");
    private static final String NINTHS = "ninths";
    private static final String[] SEVENTHS = {"sevenths"};
    private static final String[] COLOURS = {"flat-nine", "borrowed-colour", "ninths", "ending", "sevenths"};
    private static final String[] LINES = {
        "falling-line:inside",
        "turnaround",
        "two-before-five",
        "borrowed-four",
        "secondary-dominant",
        "flat-nine",
        "borrowed-colour",
        "ending",
        "ninths",
        "sevenths"
    };

    private static final List<List<Plan>> PLANS = List.of(
            List.of(Plan.of("drop-extension:triad", "drop-extension:m", "drop-extension:dim", "drop-bass")),
            List.of(
                    Plan.of("drop-extension:7", "drop-extension:m7", "drop-extension:maj7"),
                    Plan.of(),
                    Plan.of(SEVENTHS)),
            List.of(
                    Plan.of(),
                    Plan.of().withoutCapo(),
                    Plan.of(SEVENTHS),
                    Plan.of(SEVENTHS).withoutCapo(),
                    Plan.of().inClosedShapes()),
            List.of(
                    Plan.of(SEVENTHS),
                    Plan.of(SEVENTHS).withoutCapo(),
                    Plan.of(COLOURS),
                    Plan.of(SEVENTHS).withoutCapo().inClosedShapes(),
                    Plan.of(COLOURS).withoutCapo()),
            List.of(
                    Plan.of(COLOURS),
                    Plan.of(COLOURS).withoutCapo().inClosedShapes(),
                    Plan.of(LINES),
                    Plan.of(LINES).withoutCapo().inClosedShapes(),
                    Plan.of(LINES).withoutCapo().withMovingTop()));

    /** A rung easier than the one below weighs more than any number that add nothing. */
    private static final int EASIER = 100;

    /** A rung should not take back the colours of the one below, nor a capo that was taken off. */
    private static final int POORER = 2;

    private final Arranger arranger;
    private final Chart chart;
    private final HarmonyReader harmony;
    private final ArrangementSettings settings;

    private Ladder(Arranger arranger, Chart chart, ArrangementSettings settings) {
        this.arranger = arranger;
        this.chart = chart;
        this.harmony = HarmonyReader.of(chart);
        this.settings = settings;
    }

    /** The five rungs of a chart, the first first. Locks and readings of the settings are left out. */
    public static List<LadderStep> of(Arranger arranger, Chart chart, ArrangementSettings settings) {
        return new Ladder(arranger, chart, settings.withLocks(List.of()).withReadings(List.of())).climb();
    }

    private List<LadderStep> climb() {
        List<List<LadderStep>> tried = new ArrayList<>();
        int capo = arranger.arrange(chart, settings).capo();
        for (int rung = Rung.LOWEST; rung <= Rung.HIGHEST; rung++) {
            int at = rung;
            tried.add(PLANS.get(rung - 1).stream()
                    .map(plan -> step(at, plan, plan.noCapo() ? 0 : capo))
                    .toList());
        }
        Climb best = best(tried, new ArrayList<>(), Climb.WORST);
        return best.steps().stream().map(Ladder::spoken).toList();
    }

    /**
     * A choice of one step for every rung.
     *
     * @param faults rungs easier than the one below, counted dear, rungs poorer in colour, and rungs that add nothing
     */
    private record Climb(List<LadderStep> steps, int faults) {

        static final Climb WORST = new Climb(List.of(), Integer.MAX_VALUE);
    }

    /** Of all choices the one with the fewest faults; of equal ones the plainest. */
    private Climb best(List<List<LadderStep>> tried, List<LadderStep> chosen, Climb best) {
        if (chosen.size() == tried.size()) {
            int faults = faults(chosen);
            return faults < best.faults() ? new Climb(List.copyOf(chosen), faults) : best;
        }
        Climb found = best;
        for (LadderStep step : tried.get(chosen.size())) {
            LadderStep below = chosen.isEmpty() ? null : chosen.get(chosen.size() - 1);
            chosen.add(step.withAdds(
                    LadderWords.adds(Optional.ofNullable(below).map(LadderStep::arrangement), step.arrangement())));
            found = faults(chosen) < found.faults() ? best(tried, chosen, found) : found;
            chosen.remove(chosen.size() - 1);
        }
        return found;
    }

    private static int faults(List<LadderStep> steps) {
        int faults = 0;
        for (int i = 1; i < steps.size(); i++) {
            LadderStep below = steps.get(i - 1);
            LadderStep step = steps.get(i);
            boolean easier =
                    step.effort() < below.effort() || step.arrangement().fastestTempo() < held(below);
            faults += easier ? EASIER : 0;
            faults += step.adds().isEmpty() ? 1 : 0;
            boolean capoComesBack =
                    below.arrangement().capo() == 0 && step.arrangement().capo() > 0;
            faults += capoComesBack ? POORER : 0;
            faults += richness(step) < richness(below) - 1e-9 ? POORER : 0;
        }
        return faults;
    }

    /** Tempo a rung has to hold: the song's, or as much of it as the rung below holds; a fuller right hand may cost the rest. */
    private static int held(LadderStep below) {
        return Math.min(below.arrangement().tempo(), below.arrangement().fastestTempo());
    }

    /** Mean number of notes of the chords that are played. */
    private static double richness(LadderStep step) {
        return step.arrangement().placements().stream()
                .flatMap(p -> p.segment().chord().stream())
                .mapToInt(c -> c.type().intervals().size())
                .average()
                .orElse(0);
    }

    private static LadderStep spoken(LadderStep step) {
        return step.adds().isEmpty()
                ? step.withAdds("Adds speed: the same grips hold up to "
                        + step.arrangement().fastestTempo() + " beats a minute.")
                : step;
    }

    private LadderStep step(int rung, Plan plan, int capo) {
        ArrangementSettings on = settings.withRung(rung).withCapo(capo);
        if (plan.closed()) {
            on = on.withHouseRules(on.houseRules().with(HouseRule.RING, -1.0));
        }
        if (plan.moving()) {
            on = on.withHouseRules(on.houseRules().with(HouseRule.MOTION, 1.0));
        }
        List<ReadingChoice> choices = choices(plan, on.preferences(), Set.of());
        Arrangement arrangement = arrange(on.withReadings(choices));
        Set<Integer> unkept = unkept(arrangement);
        if (!unkept.isEmpty()) {
            choices = choices(plan, on.preferences(), unkept);
            arrangement = arrange(on.withReadings(choices));
        }
        if (rung == Rung.LOWEST) {
            arrangement = eased(on, choices, arrangement);
        }
        double effort = effort(arrangement);
        return new LadderStep(rung, arrangement, choices, effort, "");
    }

    /** @param single placements whose grips no hand can bind to others */
    private List<ReadingChoice> choices(Plan plan, Preferences preferences, Set<Integer> single) {
        List<ReadingChoice> choices = new ArrayList<>();
        for (Spot spot : harmony.spots()) {
            boolean mayBind = !single.contains(spot.slot().index());
            wished(plan, spot, RuleCatalogue.judge(spot, preferences), mayBind)
                    .ifPresent(r -> choices.add(new ReadingChoice(spot.slot().index(), r.id(), verdict(r))));
        }
        return choices;
    }

    /** Placements of the chart where what was wished cannot be played as it is called. */
    private static Set<Integer> unkept(Arrangement arrangement) {
        return arrangement.warnings().stream()
                .filter(w -> w.kind() == Warning.Kind.READING)
                .flatMap(w -> w.placements().stream())
                .collect(Collectors.toSet());
    }

    /** A colour is what the rung is about; a simpler chord is taken where it is easier. */
    private static Verdict verdict(Reading reading) {
        boolean isSimpler = RuleCatalogue.of(reading.id().rule()).family() == Rule.Family.SIMPLIFY;
        return isSimpler ? Verdict.ACCEPTED : Verdict.PINNED;
    }

    private Optional<Reading> wished(Plan plan, Spot spot, RuleCatalogue.Judgement judgement, boolean mayBind) {
        for (ReadingId wish : plan.wishes()) {
            Optional<Reading> found = judgement.readings().stream()
                    .filter(r -> r.id().isOf(wish))
                    .filter(r -> mayBind || !r.isBound() && !r.overStill())
                    .filter(r -> !isRich(r) || isAtHomeOn(spot))
                    .findFirst();
            if (found.isPresent()) {
                return found;
            }
        }
        return Optional.empty();
    }

    /** A ninth or a major seventh. */
    private static boolean isRich(Reading reading) {
        return reading.id().rule().equals(NINTHS)
                || reading.steps().stream().anyMatch(s -> s.chord().type().hasInterval(MAJOR_SEVENTH));
    }

    /** Rich chords are everywhere in music of sevenths; in a folk song they are for one that has the time, and the last one. */
    private boolean isAtHomeOn(Spot spot) {
        boolean longHeld = spot.stillBeats() >= 2 * spot.slot().metre().beats();
        return harmony.style().isColourful() || longHeld || spot.last();
    }

    private Arrangement arrange(ArrangementSettings on) {
        return arranger.sweep(chart, on).alone(on.capo().orElseThrow());
    }

    /** Lets any simplifying rule help where a chord needs more than the rung has. */
    private Arrangement eased(ArrangementSettings on, List<ReadingChoice> choices, Arrangement first) {
        List<Integer> hard = first.placements().stream()
                .filter(p -> p.segment().chord().isPresent())
                .filter(p ->
                        p.grip().isEmpty() || p.grip().get().rung() > on.rung().level())
                .map(p -> p.slot().index())
                .distinct()
                .toList();
        if (hard.isEmpty()) {
            return first;
        }
        choices.removeIf(c -> hard.contains(c.placement()));
        for (Spot spot : harmony.spots()) {
            if (hard.contains(spot.slot().index())) {
                RuleCatalogue.judge(spot, on.preferences()).readings().stream()
                        .filter(r -> RuleCatalogue.of(r.id().rule()).family() == Rule.Family.SIMPLIFY)
                        .forEach(r -> choices.add(new ReadingChoice(spot.slot().index(), r.id(), Verdict.ACCEPTED)));
            }
        }
        return arrange(on.withReadings(choices));
    }

    /** What a part would ask of a beginner, a bar: of the hand, and of what there is to learn. */
    private double effort(Arrangement arrangement) {
        Map<Shape, Integer> occurrences = new HashMap<>();
        arrangement.placements().stream()
                .flatMap(p -> p.grip().stream())
                .forEach(g -> occurrences.merge(g.grip().shape(), 1, Integer::sum));
        double effort = 0;
        for (PlacedGrip placed : arrangement.placements()) {
            effort += placed.grip()
                    .map(g -> arranger.beginner()
                            .effort(
                                    g,
                                    arrangement.board().tuning(),
                                    occurrences.get(g.grip().shape())))
                    .orElse(0.0);
        }
        for (TimedChange change : arrangement.changes()) {
            effort += change.change().effort();
        }
        return effort / Math.max(1, chart.bars());
    }
}
