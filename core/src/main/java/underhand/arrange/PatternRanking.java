package underhand.arrange;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import underhand.chart.Chart;
import underhand.chart.Metre;
import underhand.hand.Grip;
import underhand.harmony.SongStyle;
import underhand.harmony.Style;
import underhand.neck.Fretboard;
import underhand.picking.PatternPlan;
import underhand.picking.PickedStrings;
import underhand.picking.PickingPattern;
import underhand.picking.PlayedPatterns;
import underhand.picking.RightHand;
import underhand.picking.RightHandLimit;
import underhand.picking.School;
import underhand.picking.Step;
import underhand.settings.ArrangementSettings;
import underhand.settings.Setting;
import underhand.solve.PlacedGrip;
import underhand.solve.PlacedGrip.Alternative;
import underhand.solve.Singer;
import underhand.solve.TimedChange;

/**
 * The patterns that fit a section, the best first, each with its reasons: metre, tempo, style, rung, with whom it is played, the
 * grips, and the time it leaves for their changes. Of equal ones that comes first which stands first in the table.
 */
public final class PatternRanking {

    /** Points for each rung a pattern lies below the player's, and what else counts (memory). */
    private static final double RUNG_BELOW = 1;

    private static final double LATE_SHARE = 6;
    private static final double STYLE = 4;
    private static final double TEMPO = 1;
    private static final double ROUNDING = 1e-9;

    /** From this weight on a style is said to be the song's. */
    private static final double AT_HOME = 0.5;

    private static final double BREAKS = 20;
    private static final double SETTING = 1.5;

    private final ArrangementSettings settings;
    private final Fretboard board;
    private final int tempo;
    private final SongStyle style;
    private final boolean sung;
    private final List<PlacedGrip> places;
    private final Metre metre;
    private final Map<Integer, TimedChange> changes = new HashMap<>();
    private final Map<PickingPattern, Times> timed = new HashMap<>();

    /** Of the grips that are played, by their place. */
    private final Map<Integer, PickedStrings> strings = new HashMap<>();

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

    /**
     * @param sung whether the part has to leave room for a voice
     * @param places those of the section, at least one
     * @param changes of the whole part
     */
    PatternRanking(
            ArrangementSettings settings,
            Fretboard board,
            int tempo,
            SongStyle style,
            boolean sung,
            List<PlacedGrip> places,
            List<TimedChange> changes) {
        this.settings = settings;
        this.board = board;
        this.tempo = tempo;
        this.style = style;
        this.sung = sung;
        this.places = places;
        this.metre = places.get(0).slot().metre();
        changes.forEach(c -> this.changes.put(c.from(), c));
    }

    /**
     * Ranks patterns for the sections of a name.
     *
     * @param patterns those that ship and the player's own
     */
    public static List<Fit> of(Arrangement arrangement, String section, List<PickingPattern> patterns) {
        return section(arrangement.placements(), section).isEmpty()
                ? List.of()
                : new PatternRanking(
                                arrangement.settings(),
                                arrangement.board(),
                                arrangement.tempo(),
                                arrangement.style(),
                                isSung(arrangement),
                                section(arrangement.placements(), section),
                                arrangement.changes())
                        .ranked(patterns);
    }

    private static boolean isSung(Arrangement arrangement) {
        List<Chart.Slot> slots =
                arrangement.placements().stream().map(PlacedGrip::slot).toList();
        return Singer.isSung(slots, arrangement.settings());
    }

    /** The places of a part that are in sections of a name and have a grip. */
    static List<PlacedGrip> section(List<PlacedGrip> placements, String section) {
        return placements.stream()
                .filter(p -> p.slot().section().equals(section))
                .filter(p -> p.grip().isPresent())
                .toList();
    }

    private List<Fit> ranked(List<PickingPattern> patterns) {
        Stream<PickingPattern> beat = Stream.of(PickingPattern.beat(metre));
        boolean listed = patterns.stream()
                .anyMatch(p -> p.metre().equals(metre)
                        && p.toSteps().equals(PickingPattern.beat(metre).toSteps()));
        return Stream.concat(patterns.stream(), listed ? Stream.of() : beat)
                .filter(this::fits)
                .map(pattern -> fit(pattern, true))
                .sorted(Comparator.comparingDouble(Fit::score).reversed())
                .toList();
    }

    private boolean fits(PickingPattern pattern) {
        return pattern.metre().equals(metre)
                && pattern.lowestRung() <= settings.rung().level()
                && pattern.slowest() <= tempo
                && tempo <= pattern.fastest()
                && !played(pattern).isTooFast(pattern);
    }

    private PlayedPatterns played(PickingPattern pattern) {
        return new PlayedPatterns(PatternPlan.of(pattern), settings.rung(), tempo);
    }

    private Fit fit(PickingPattern pattern, boolean fingered) {
        List<String> reasons = new ArrayList<>();
        double score = apartFromTime(pattern, reasons) - forTime(pattern, reasons);
        Optional<Break> breaks = firstBreak(pattern);
        if (breaks.isPresent()) {
            score -= BREAKS;
            reasons.add(0, breaks.get().words());
        }
        return new Fit(pattern, score, reasons, breaks, fingered ? fingers(pattern) : Map.of());
    }

    /** Points for all but the grips and the time they need; a pattern has no more in all. */
    private double apartFromTime(PickingPattern pattern, List<String> reasons) {
        int below = settings.rung().level() - pattern.lowestRung();
        double score = -RUNG_BELOW * below;
        score += forStyle(pattern, reasons);
        if (below == 0) {
            reasons.add("what rung " + pattern.lowestRung() + " adds for the right hand");
        }
        double middle = Math.sqrt((double) pattern.slowest() * pattern.fastest());
        score -= TEMPO * Math.abs(Math.log(tempo / middle));
        return score + forSetting(pattern, reasons);
    }

    /**
     * The pattern to be played: of those with the least share of late changes the first of the ranking. It is looked for from
     * the top, and no further than one could still be it.
     *
     * @param goodEnough a share of late changes up to which all are alike
     * @param shareOf what counts as the share of late changes of a pattern that has some
     */
    Optional<Fit> toBePlayed(
            List<PickingPattern> patterns, double goodEnough, ToDoubleFunction<PickingPattern> shareOf) {
        Map<PickingPattern, Double> atMost = new HashMap<>();
        patterns.stream().filter(this::fits).forEach(p -> atMost.put(p, apartFromTime(p, new ArrayList<>())));
        List<PickingPattern> ordered = patterns.stream()
                .filter(atMost::containsKey)
                .sorted(Comparator.comparingDouble(atMost::get).reversed())
                .toList();
        Fit best = null;
        double least = Double.POSITIVE_INFINITY;
        for (PickingPattern pattern : ordered) {
            if (best != null && least <= goodEnough && atMost.get(pattern) <= best.score()) {
                break;
            }
            Fit fit = fit(pattern, false);
            double late = Math.max(goodEnough, shareOf.applyAsDouble(pattern))
                    + (fit.breaks().isPresent() ? 1 : 0);
            if (late < least || late == least && fit.score() > best.score()) {
                best = fit;
                least = late;
            }
        }
        return Optional.ofNullable(best);
    }

    private double forStyle(PickingPattern pattern, List<String> reasons) {
        Map<Style, Double> weights = style.weights(tempo);
        Optional<Style> best = pattern.styles().stream().max(Comparator.comparingDouble(weights::get));
        if (best.filter(s -> weights.get(s) >= AT_HOME).isPresent()) {
            reasons.add("at home in " + best.get().words());
        }
        return STYLE * best.map(weights::get).orElse(0.0);
    }

    private Map<School, List<String>> fingers(PickingPattern pattern) {
        Map<School, List<String>> fingers = new EnumMap<>(School.class);
        for (School school : pattern.isStrummed() ? new School[0] : School.values()) {
            double fast = RightHandLimit.of(settings.rung()).fastSeconds();
            fingers.put(school, new RightHand(school, fast).fingers(pattern, 60.0 / tempo));
        }
        return fingers;
    }

    private double forSetting(PickingPattern pattern, List<String> reasons) {
        Setting setting = settings.setting();
        boolean picked = !pattern.isStrummed();
        if (sung && picked) {
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
        if ((setting == Setting.ALONE || setting == Setting.SINGER && !sung) && !picked) {
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
        Times times = times(pattern);
        if (times.counted() == 0) {
            return 0;
        }
        reasons.add(
                times.late() == 0
                        ? "in time for every change"
                        : String.format(
                                Locale.ROOT,
                                "%d of %d changes need more time than it leaves, %.2f s at the tightest",
                                times.late(),
                                times.counted(),
                                times.least()));
        return LATE_SHARE * times.late() / times.counted();
    }

    /**
     * How a pattern does for the changes of the section.
     *
     * @param late changes that need more time than it leaves
     * @param counted changes that need any
     * @param least seconds it leaves where it leaves least
     */
    private record Times(int late, int counted, double least) {}

    /** Share of the changes that come late with a pattern and would not under one stroke a bar. */
    double avoidablyLate(PickingPattern pattern) {
        Times with = times(pattern);
        int more = with.late() - times(PickingPattern.bar(metre)).late();
        return with.counted() == 0 ? 0 : Math.max(0, (double) more / with.counted());
    }

    private Times times(PickingPattern pattern) {
        return timed.computeIfAbsent(pattern, this::time);
    }

    private Times time(PickingPattern pattern) {
        PlayedPatterns played = played(pattern);
        int late = 0;
        int counted = 0;
        double least = Double.POSITIVE_INFINITY;
        for (PlacedGrip place : places) {
            TimedChange change = changes.get(place.index());
            if (change != null && change.change().neededSeconds() > 0) {
                double seconds = secondsToLeave(played, place, board);
                least = Math.min(least, seconds);
                counted++;
                late += change.change().neededSeconds() > seconds + ROUNDING ? 1 : 0;
            }
        }
        return new Times(late, counted, least);
    }

    /** Seconds that played patterns leave after a place with a grip. */
    static double secondsToLeave(PlayedPatterns played, PlacedGrip place, Fretboard board) {
        double beats = place.segment().beats();
        return played.secondsToLeave(
                played.strokes(place.slot(), place.segment().beat(), beats),
                beats,
                place.grip().orElseThrow().grip().shape(),
                place.segment().chord().orElseThrow(),
                board);
    }

    private PickedStrings strings(PlacedGrip place, Grip grip) {
        boolean isPlayed = place.grip().stream().anyMatch(g -> g.grip() == grip);
        return isPlayed
                ? strings.computeIfAbsent(place.index(), index -> stringsOf(place, grip))
                : stringsOf(place, grip);
    }

    private PickedStrings stringsOf(PlacedGrip place, Grip grip) {
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
