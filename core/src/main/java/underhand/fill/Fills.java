package underhand.fill;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import underhand.arrange.Arrangement;
import underhand.fill.Sketch.Moment;
import underhand.hand.FingeringSearch;
import underhand.hand.Grip;
import underhand.hand.HandEffort;
import underhand.move.ChangeModel;
import underhand.neck.Fretboard;
import underhand.picking.PatternRun;
import underhand.picking.PlayedPatterns;
import underhand.pitch.Key;
import underhand.settings.ArrangementSettings;
import underhand.settings.Filling;
import underhand.settings.HouseRule;
import underhand.settings.Setting;
import underhand.solve.PlacedGrip;

/** Proposes fills where there is room for them, the best in time first. */
public final class Fills {

    /** A chord shorter than this has no room. */
    private static final double LEAST_BEATS = 2;

    private static final double MOST_ROOM = 3;
    private static final double EARLIER = 0.5;

    /** Words a singer fits into a beat (memory). */
    private static final double WORDS_A_BEAT = 2;

    private final Arrangement arrangement;
    private final ArrangementSettings settings;
    private final Fretboard board;
    private final FillFingers fingers;
    private final PlayedPatterns patterns;
    private final boolean isBlues;
    private final double beatSeconds;

    public Fills(Arrangement arrangement) {
        this.arrangement = arrangement;
        this.settings = arrangement.settings();
        this.board = arrangement.board();
        this.fingers = new FillFingers(
                new FingeringSearch(board, settings.rung(), settings.player()),
                new HandEffort(board, settings.player(), arrangement.parameters()),
                new ChangeModel(board, settings.rung(), settings.player(), arrangement.parameters()));
        this.patterns = new PlayedPatterns(settings.patterns(), settings.rung(), arrangement.tempo());
        this.isBlues = arrangement.style().blues();
        this.beatSeconds = 60.0 / arrangement.tempo();
    }

    /**
     * What a place may be filled with.
     *
     * @param fills that the hand has the time for, the least work first
     * @param refusal why there is nothing at all, in words; blank where there is something
     * @param refused kinds of fills of this rung that do not fit here
     */
    public record Offer(List<Fill> fills, String refusal, List<Refused> refused) {

        Offer(String refusal) {
            this(List.of(), refusal, List.of());
        }
    }

    /**
     * A kind of fill that does not fit.
     *
     * @param name in the words of players
     * @param why one sentence
     */
    public record Refused(String name, String why) {}

    /** The fills of a place of the part. */
    public Offer at(int place) {
        PlacedGrip here = arrangement.placements().get(place);
        if (here.grip().isEmpty()) {
            return new Offer("Nothing is played here.");
        }
        if (settings.houseRules().get(HouseRule.FILLING) == Filling.NOWHERE) {
            return new Offer("By your house rules the space is left.");
        }
        double beats = here.segment().beats();
        if (beats < LEAST_BEATS) {
            return new Offer("There is no room: the chord lasts less than two beats.");
        }
        double from = Math.max(roomFrom(here), beats - MOST_ROOM);
        if (beats - from < 1) {
            return new Offer("The words need this space: with a singer fills keep to the gaps.");
        }
        Gap gap = gap(here, from);
        List<Fill> fills = new ArrayList<>();
        List<Refused> refused = new ArrayList<>();
        for (FillRule rule : FillRules.ALL) {
            if (rule.lowestRung() <= settings.rung().level()) {
                List<Fill> inTime = new ArrayList<>();
                why(rule, gap, inTime).ifPresent(why -> refused.add(new Refused(rule.name(), why)));
                fills.addAll(inTime);
            }
        }
        fills.sort(Comparator.comparingDouble(Fill::effort));
        return new Offer(fills, fills.isEmpty() ? "No fill of this rung fits here." : "", refused);
    }

    /** Adds a kind's fills that are in time; why there is none of it, if so. */
    private Optional<String> why(FillRule rule, Gap gap, List<Fill> inTime) {
        FillRule.Proposal proposal = rule.proposal().apply(gap);
        List<Fill> all = proposal.sketches().stream()
                .flatMap(sketch -> placed(rule, sketch, gap).stream())
                .toList();
        all.stream().filter(Fill::isInTime).forEach(inTime::add);
        if (!inTime.isEmpty()) {
            return Optional.empty();
        }
        if (proposal.sketches().isEmpty()) {
            return Optional.of(proposal.why());
        }
        return Optional.of(all.stream()
                .min(Comparator.comparingDouble(f -> f.neededSeconds() - f.availableSeconds()))
                .map(f -> String.format(
                        Locale.ROOT,
                        "It would come late: a move needs %.2f s and has %.2f s.",
                        f.neededSeconds(),
                        f.availableSeconds()))
                .orElse("The hand has no fingers for it while the grip is held."));
    }

    /** A fill by its id; empty when it is proposed no more. */
    public Optional<Fill> named(int place, String id) {
        return at(place).fills().stream().filter(f -> f.id().equals(id)).findFirst();
    }

    /** Beats after the start of a place at which its words are over. */
    private double roomFrom(PlacedGrip here) {
        double opening = Math.max(1, here.segment().beats() / 2);
        boolean besideWords = settings.setting() == Setting.SINGER
                && settings.houseRules().get(HouseRule.FILLING) == Filling.BY_SETTING;
        String lyric = here.slot().placement().lyric().strip();
        if (!besideWords || lyric.isEmpty()) {
            return opening;
        }
        return Math.max(opening, Math.ceil(lyric.split("\\s+").length / WORDS_A_BEAT));
    }

    private Gap gap(PlacedGrip here, double from) {
        Optional<PlacedGrip> next = arrangement.placements().stream()
                .skip(here.index() + 1L)
                .filter(p -> p.grip().isPresent())
                .findFirst();
        Key key = here.slot().key().orElse(arrangement.key());
        return new Gap(here, next, key, from, board, Math.min(settings.rung().highestFret(), board.frets()), isBlues);
    }

    /** A fill in the room there is: earlier than it was sketched, where only that gives the hand time. */
    private Optional<Fill> placed(FillRule rule, Sketch sketch, Gap gap) {
        Optional<Fill> first = Optional.empty();
        for (double by = 0; sketch.from() - by >= gap.from() - 1e-9; by += EARLIER) {
            Optional<Fill> fill = fill(rule, sketch.earlier(by), gap);
            if (fill.filter(Fill::isInTime).isPresent()) {
                return fill;
            }
            first = first.or(() -> fill);
            if (!sketch.movable()) {
                break;
            }
        }
        return first;
    }

    private Optional<Fill> fill(FillRule rule, Sketch sketch, Gap gap) {
        return fingers.of(
                        gap.grip(),
                        sketch.moments(),
                        gap.next().flatMap(PlacedGrip::grip).map(g -> g.grip()),
                        secondsToLeave(gap.here(), sketch.from()),
                        beatSeconds)
                .map(f -> new Fill(
                        rule.id() + (sketch.variant().isEmpty() ? "" : ":" + sketch.variant()),
                        rule.name(),
                        gap.here().index(),
                        sketch.from(),
                        notes(sketch, f.grips(), gap),
                        sketch.reason(),
                        f.effort(),
                        f.neededSeconds(),
                        f.availableSeconds(),
                        rule.id().equals(FillRules.SLIDE_IN)));
    }

    private double secondsToLeave(PlacedGrip here, double from) {
        double last = patterns
                .strokes(here.slot(), here.segment().beat(), here.segment().beats())
                .stream()
                .mapToDouble(PatternRun.Struck::from)
                .filter(at -> at < from - 1e-9)
                .max()
                .orElse(0);
        return (from - last) * beatSeconds;
    }

    private List<FillNote> notes(Sketch sketch, List<Grip> grips, Gap gap) {
        List<FillNote> notes = new ArrayList<>();
        for (int i = 0; i < sketch.moments().size(); i++) {
            Moment moment = sketch.moments().get(i);
            for (int string : moment.strings()) {
                int fret = moment.shape().fret(string);
                notes.add(new FillNote(
                        moment.from(),
                        moment.beats(),
                        string,
                        fret,
                        grips.get(i).fingerOn(string),
                        moment.technique(),
                        FillRules.isChromatic(gap, board.midi(string, fret))));
            }
        }
        return notes;
    }
}
