package underhand.part;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import underhand.arrange.Arrangement;
import underhand.chart.Metre;
import underhand.hand.Grip;
import underhand.neck.Fretboard;
import underhand.picking.PatternRun;
import underhand.picking.PickedStrings;
import underhand.picking.PickingPattern;
import underhand.picking.RightHand;
import underhand.picking.RightHandLimit;
import underhand.picking.School;
import underhand.picking.Step;
import underhand.settings.ArrangementSettings;
import underhand.settings.Setting;
import underhand.solve.PlacedGrip;
import underhand.solve.PlacedGrip.Alternative;
import underhand.solve.TimedChange;

/**
 * The patterns that fit a section, the best first, each with its reasons: metre, tempo, rung, with whom it is played, the
 * grips, and the time it leaves for their changes.
 */
public final class PatternRanking {

    /** Points for each rung a pattern lies below the player's, and what else counts (memory). */
    private static final double RUNG_BELOW = 1;

    private static final double LATE_SHARE = 6;
    private static final double TEMPO = 1;
    private static final double BREAKS = 20;
    private static final double SETTING = 1.5;

    private final Arrangement arrangement;
    private final ArrangementSettings settings;
    private final Fretboard board;
    private final List<PlacedGrip> places;
    private final Metre metre;
    private final Map<Integer, TimedChange> changes = new HashMap<>();

    /**
     * A pattern's fit.
     *
     * @param score higher is better
     * @param reasons in words, the weightiest first
     * @param breaks the first chord that cannot carry it
     * @param fingers the right hand's fingers stroke by stroke in each school; empty for a strummed pattern
     */
    public record Fit(
            PickingPattern pattern,
            double score,
            List<String> reasons,
            Optional<Break> breaks,
            Map<School, List<String>> fingers) {}

    /**
     * A chord whose grip cannot carry a pattern.
     *
     * @param place index in the part
     * @param better another grip of the chord that can, the cheapest
     */
    public record Break(int place, String words, Optional<Alternative> better) {}

    private PatternRanking(Arrangement arrangement, List<PlacedGrip> places) {
        this.arrangement = arrangement;
        this.settings = arrangement.settings();
        this.places = places;
        this.board = arrangement.board();
        this.metre = places.get(0).slot().metre();
        arrangement.changes().forEach(c -> changes.put(c.from(), c));
    }

    /**
     * Ranks patterns for the sections of a name.
     *
     * @param patterns those that ship and the player's own
     */
    public static List<Fit> of(Arrangement arrangement, String section, List<PickingPattern> patterns) {
        List<PlacedGrip> places = arrangement.placements().stream()
                .filter(p -> p.slot().section().equals(section))
                .filter(p -> p.grip().isPresent())
                .toList();
        if (places.isEmpty()) {
            return List.of();
        }
        PatternRanking ranking = new PatternRanking(arrangement, places);
        Stream<PickingPattern> beat = Stream.of(PickingPattern.beat(ranking.metre));
        boolean listed = patterns.stream()
                .anyMatch(p -> p.metre().equals(ranking.metre)
                        && p.toSteps().equals(PickingPattern.beat(ranking.metre).toSteps()));
        return Stream.concat(patterns.stream(), listed ? Stream.of() : beat)
                .filter(ranking::fits)
                .map(ranking::fit)
                .sorted(Comparator.comparingDouble(Fit::score)
                        .reversed()
                        .thenComparing(f -> f.pattern().id()))
                .toList();
    }

    private boolean fits(PickingPattern pattern) {
        double strokes = pattern.densestBeat() * arrangement.tempo() / 60.0;
        return pattern.metre().equals(metre)
                && pattern.lowestRung() <= settings.rung().level()
                && pattern.slowest() <= arrangement.tempo()
                && arrangement.tempo() <= pattern.fastest()
                && strokes <= RightHandLimit.of(settings.rung()).strokesASecond();
    }

    private Fit fit(PickingPattern pattern) {
        List<String> reasons = new ArrayList<>();
        double score = 0;
        int below = settings.rung().level() - pattern.lowestRung();
        score -= RUNG_BELOW * below;
        if (below == 0) {
            reasons.add("what rung " + pattern.lowestRung() + " adds for the right hand");
        }
        double middle = Math.sqrt((double) pattern.slowest() * pattern.fastest());
        score -= TEMPO * Math.abs(Math.log(arrangement.tempo() / middle));
        score += forSetting(pattern, reasons);
        score -= forTime(pattern, reasons);
        Optional<Break> breaks = firstBreak(pattern);
        if (breaks.isPresent()) {
            score -= BREAKS;
            reasons.add(0, breaks.get().words());
        }
        return new Fit(pattern, score, reasons, breaks, fingers(pattern));
    }

    private Map<School, List<String>> fingers(PickingPattern pattern) {
        Map<School, List<String>> fingers = new EnumMap<>(School.class);
        for (School school : pattern.isStrummed() ? new School[0] : School.values()) {
            double fast = RightHandLimit.of(settings.rung()).fastSeconds();
            fingers.put(school, new RightHand(school, fast).fingers(pattern, 60.0 / arrangement.tempo()));
        }
        return fingers;
    }

    private double forSetting(PickingPattern pattern, List<String> reasons) {
        Setting setting = settings.setting();
        boolean picked = !pattern.isStrummed();
        if (setting == Setting.SINGER && picked) {
            reasons.add("picked strings leave room for a voice");
            return SETTING;
        }
        if (setting == Setting.BASS && pattern.steps().stream().anyMatch(PatternRanking::playsBass)) {
            reasons.add("its bass notes double the bass player's");
            return -SETTING;
        }
        if (setting == Setting.SECOND && pattern.isColoured()) {
            reasons.add("its accents stand out beside a first guitar");
            return SETTING;
        }
        if (setting == Setting.ALONE && !picked) {
            reasons.add("full strums carry a song alone");
            return SETTING / 2;
        }
        return 0;
    }

    private static boolean playsBass(Step step) {
        return step instanceof Step.Pick pick && pick.roles().stream().anyMatch(r -> r.isBass())
                || step instanceof Step.Strum strum && strum.span() == Step.Span.BASS;
    }

    /** How much it leaves too little time for: the share of changes that come late with it. */
    private double forTime(PickingPattern pattern, List<String> reasons) {
        int late = 0;
        int counted = 0;
        double least = Double.POSITIVE_INFINITY;
        for (PlacedGrip place : places) {
            TimedChange change = changes.get(place.index());
            if (change != null && change.change().neededSeconds() > 0) {
                double seconds = secondsToLeave(pattern, place);
                least = Math.min(least, seconds);
                counted++;
                late += change.change().neededSeconds() > seconds + 1e-9 ? 1 : 0;
            }
        }
        if (counted == 0) {
            return 0;
        }
        reasons.add(
                late == 0
                        ? "in time for every change"
                        : String.format(
                                Locale.ROOT,
                                "%d of %d changes come late: it leaves %.2f s at the tightest",
                                late,
                                counted,
                                least));
        return LATE_SHARE * late / counted;
    }

    private double secondsToLeave(PickingPattern pattern, PlacedGrip place) {
        double beats = place.segment().beats();
        List<PatternRun.Struck> run =
                PatternRun.over(pattern, place.slot().metre(), place.segment().beat(), beats);
        PickedStrings strings = strings(place, place.grip().orElseThrow().grip());
        int last = run.size() - 1;
        while (last > 0 && strings.strikesOnlyOpen(run.get(last).step())) {
            last--;
        }
        return (beats - run.get(last).from()) * 60 / arrangement.tempo();
    }

    private PickedStrings strings(PlacedGrip place, Grip grip) {
        return PickedStrings.of(grip.shape(), place.segment().chord().orElseThrow(), board);
    }

    private Optional<Break> firstBreak(PickingPattern pattern) {
        for (PlacedGrip place : places) {
            Optional<String> why =
                    lacking(pattern, place, place.grip().orElseThrow().grip());
            if (why.isPresent()) {
                Optional<Alternative> better = place.alternatives().stream()
                        .filter(a -> lacking(pattern, place, a.grip().grip()).isEmpty())
                        .findFirst();
                String words = place.played().orElseThrow().glyphs() + " as "
                        + place.grip().orElseThrow().grip().shape() + " cannot carry it: " + why.get()
                        + better.map(b -> "; " + b.grip().grip().shape() + " can")
                                .orElse("");
                return Optional.of(new Break(place.index(), words, better));
            }
        }
        return Optional.empty();
    }

    private Optional<String> lacking(PickingPattern pattern, PlacedGrip place, Grip grip) {
        if (pattern.isStrummed()) {
            return grip.undampedInside() > 0
                    ? Optional.of("a silent string inside that no finger damps would ring under a strum")
                    : Optional.empty();
        }
        PickedStrings strings = strings(place, grip);
        return pattern.steps().stream()
                .flatMap(s -> strings.lacking(s).stream())
                .findFirst();
    }
}
