package underhand.arrange;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import underhand.chart.Chart;
import underhand.chart.Metre;
import underhand.neck.Fretboard;
import underhand.picking.PatternPlan;
import underhand.picking.Patterns;
import underhand.picking.PickingPattern;
import underhand.picking.PlayedPatterns;
import underhand.settings.ArrangementSettings;
import underhand.solve.PlacedGrip;
import underhand.solve.Singer;
import underhand.solve.SolvedPart;
import underhand.solve.Song;
import underhand.solve.TimedChange;

/**
 * Chooses what the right hand plays where the player leaves it open: solves the song under one stroke a bar, takes for each
 * section the first pattern of the ranking that leaves time for nearly all changes of that route, lets it stop early before those
 * that need more, and solves again under it. Where the new route is late the choice is made again for it, {@value #TRIES} times
 * at most; the try with the fewest late changes counts.
 */
final class PatternChooser {

    private static final int TRIES = 2;
    private static final double ROUNDING = 1e-9;

    /** Before so many of its changes a pattern may stop early and still be itself (memory). */
    private static final double SELDOM = 0.25;

    /** Where a pattern would have to stop before more than these, it is no use; until then one stroke a bar is no cure (memory). */
    private static final double MOSTLY = 0.8;

    private final Song song;
    private final ArrangementSettings settings;
    private final Fretboard board;
    private final Map<String, Metre> sections = new LinkedHashMap<>();

    /** Sections whose strokes follow their tune. */
    private final Set<String> sung = new HashSet<>();

    /** A plan that leaves nothing open, and what it plays in each section. */
    record Chosen(PatternPlan plan, List<PatternChoice> choices) {}

    PatternChooser(Song song, ArrangementSettings settings, int capo) {
        this.song = song;
        this.settings = settings;
        this.board = new Fretboard(settings.guitar(), settings.tuning(), capo);
        for (Chart.Slot slot : song.placements()) {
            sections.putIfAbsent(slot.section(), slot.metre());
            if (settings.solo().isPresent() && !slot.placement().tune().isEmpty()) {
                sung.add(slot.section());
            }
        }
    }

    private boolean isOpen(String section) {
        return settings.patterns().isOpen(section) && !sung.contains(section);
    }

    /** What is asked for, with one stroke a bar in every section that is left open. */
    PatternPlan bars() {
        Map<String, PickingPattern> open = new LinkedHashMap<>();
        sections.forEach((section, metre) -> {
            if (settings.patterns().isOpen(section)) {
                open.put(section, PickingPattern.bar(metre));
            }
        });
        return settings.patterns().with(open, Map.of());
    }

    /** @param solved the part under a plan */
    Chosen choose(Function<PatternPlan, SolvedPart> solved) {
        PatternPlan bars = bars();
        if (sections.keySet().stream().noneMatch(this::isOpen)) {
            return new Chosen(bars, choices(Map.of(), 0));
        }
        SolvedPart part = solved.apply(bars);
        Chosen best = null;
        int fewest = Integer.MAX_VALUE;
        Map<Integer, Double> stops = new HashMap<>();
        for (int tried = 0; tried < TRIES && fewest > 0; tried++) {
            Map<String, PatternRanking.Fit> fits = fitting(part);
            Map<String, PickingPattern> patterns = new LinkedHashMap<>();
            fits.forEach((section, fit) -> patterns.put(section, fit.pattern()));
            stop(part, patterns, stops);
            PatternPlan plan = bars.with(patterns, stops);
            part = solved.apply(plan);
            int late = late(part);
            if (late < fewest) {
                fewest = late;
                best = new Chosen(plan, choices(fits, stops.size()));
            }
        }
        return best;
    }

    private List<PatternChoice> choices(Map<String, PatternRanking.Fit> fits, int stops) {
        List<PatternChoice> choices = new ArrayList<>();
        for (String section : sections.keySet()) {
            Optional<PatternRanking.Fit> fit = Optional.ofNullable(fits.get(section));
            PickingPattern pattern =
                    fit.map(PatternRanking.Fit::pattern).orElseGet(() -> bars().pattern(first(section)));
            boolean isSung = sung.contains(section);
            String reason = fit.map(f -> String.join("; ", f.reasons()) + early(stops))
                    .orElse(isSung ? "the tune says what is plucked when" : "");
            choices.add(new PatternChoice(section, pattern, fit.isEmpty() && !isSung, reason));
        }
        return choices;
    }

    private static String early(int stops) {
        return stops == 0 ? "" : "; it stops early before " + (stops == 1 ? "one change" : stops + " changes");
    }

    private Chart.Slot first(String section) {
        return song.placements().stream()
                .filter(slot -> slot.section().equals(section))
                .findFirst()
                .orElseThrow();
    }

    /** For every open section with anything to play the first pattern that leaves time for a part. */
    private Map<String, PatternRanking.Fit> fitting(SolvedPart part) {
        Map<String, PatternRanking.Fit> fits = new LinkedHashMap<>();
        for (String section : sections.keySet()) {
            if (isOpen(section)) {
                ranking(part, section).flatMap(this::first).ifPresent(fit -> fits.put(section, fit));
            }
        }
        return fits;
    }

    private Optional<PatternRanking.Fit> first(PatternRanking ranking) {
        return ranking.toBePlayed(Patterns.all(), SELDOM, pattern -> {
            double late = ranking.avoidablyLate(pattern);
            return pattern.strokes() == 1 ? Math.max(MOSTLY, late) : late;
        });
    }

    /** Adds where the patterns have to stop early for the changes of a part, as far as their bars have room. */
    private void stop(SolvedPart part, Map<String, PickingPattern> patterns, Map<Integer, Double> stops) {
        PlayedPatterns played = played(settings.patterns().with(patterns, stops));
        for (TimedChange change : part.changes()) {
            PlacedGrip left = part.placements().get(change.from());
            double needed = change.change().neededSeconds();
            if (patterns.containsKey(left.slot().section()) && needed > seconds(played, left) + ROUNDING) {
                double end = left.segment().beat() + left.segment().beats();
                double bar = left.slot().metre().beats();
                double inBar = end - bar * Math.floor((end - 1 - ROUNDING) / bar);
                stops.merge(left.slot().index(), Math.max(1, inBar - needed * song.tempo() / 60), Math::min);
            }
        }
    }

    /** Changes that come late and would not under one stroke a bar. */
    private int late(SolvedPart part) {
        PlayedPatterns bars = played(bars());
        return (int) part.changes().stream()
                .filter(c -> c.slackSeconds() < -ROUNDING)
                .filter(c -> c.change().neededSeconds()
                        <= seconds(bars, part.placements().get(c.from())))
                .count();
    }

    private double seconds(PlayedPatterns played, PlacedGrip left) {
        return PatternRanking.secondsToLeave(played, left, board);
    }

    private PlayedPatterns played(PatternPlan plan) {
        return new PlayedPatterns(plan, settings.rung(), song.tempo());
    }

    private Optional<PatternRanking> ranking(SolvedPart part, String section) {
        List<PlacedGrip> places = PatternRanking.section(part.placements(), section);
        return places.isEmpty()
                ? Optional.empty()
                : Optional.of(new PatternRanking(
                        settings,
                        board,
                        song.tempo(),
                        song.harmony().style(),
                        Singer.isSung(song.placements(), settings),
                        places,
                        part.changes()));
    }
}
