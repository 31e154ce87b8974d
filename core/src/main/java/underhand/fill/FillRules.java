package underhand.fill;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import underhand.chord.ChordSymbol;
import underhand.fill.FillRule.Proposal;
import underhand.fill.Sketch.Moment;
import underhand.neck.Shape;

/** The kinds of fills, common practice all. */
final class FillRules {

    static final String SLIDE_IN = "slide-in";

    static final List<FillRule> ALL = List.of(
            new FillRule("bass-walk", "bass walk", 3, FillRules::bassWalk),
            new FillRule("tenths", "passing tenths", 4, gap -> ParallelRows.of(gap, ParallelRows.Kind.TENTHS)),
            new FillRule("sixths", "passing sixths", 4, gap -> ParallelRows.of(gap, ParallelRows.Kind.SIXTHS)),
            new FillRule("thirds", "passing thirds", 4, gap -> ParallelRows.of(gap, ParallelRows.Kind.THIRDS)),
            new FillRule("run", "run", 4, FillRules::run),
            new FillRule("hammer-on", "hammer-on", 3, gap -> Ornaments.of(gap, true)),
            new FillRule("pull-off", "pull-off", 3, gap -> Ornaments.of(gap, false)),
            new FillRule(SLIDE_IN, "half-step slide", 4, FillRules::slideIn),
            new FillRule("pick-up", "pick-up", 3, FillRules::pickUp),
            new FillRule("open-string", "open string while the hand moves", 2, FillRules::openString),
            new FillRule("falling-line", "falling line", 4, FillRules::fallingLine),
            new FillRule("ending-roll", "rolled ending", 2, FillRules::endingRoll));

    private static final int MOST_WALKED = 3;
    private static final int MOST_RUN = 4;
    static final double EIGHTH = 0.5;

    private static final String BASS_STAYS = "The bass goes nowhere.";
    private static final String NOTHING_FOLLOWS = "Nothing follows.";

    private FillRules() {}

    /** Quarter notes from one root to the next: by the notes of the key, or by half steps into the next root. */
    private static Proposal bassWalk(Gap gap) {
        Optional<Integer> target = gap.nextBass();
        if (target.isEmpty() || target.get() == gap.bass()) {
            return Proposal.none(BASS_STAYS);
        }
        int direction = Integer.signum(target.get() - gap.bass());
        int most = (int) Math.min(MOST_WALKED, Math.floor(gap.room()));
        List<Integer> scale = new ArrayList<>();
        for (int at = gap.neighbour(gap.bass(), direction);
                at != target.get() && Integer.signum(target.get() - at) == direction;
                at = gap.neighbour(at, direction)) {
            scale.add(at);
        }
        List<Sketch> sketches = new ArrayList<>();
        if (!scale.isEmpty() && most > 0) {
            List<Integer> notes = scale.subList(Math.max(0, scale.size() - most), scale.size());
            line(gap, notes, 1, true)
                    .ifPresent(m -> sketches.add(new Sketch(
                            "scale",
                            "The bass walks the scale from " + gap.name() + " to " + gap.nextName() + ".",
                            m)));
        }
        List<Integer> half = new ArrayList<>();
        for (int i = Math.min(2, most); i >= 1; i--) {
            half.add(target.get() - direction * i);
        }
        if (!half.isEmpty() && !half.contains(gap.bass())) {
            line(gap, half, 1, true)
                    .ifPresent(m -> sketches.add(
                            new Sketch("chromatic", "The bass leans into " + gap.nextName() + " by half steps.", m)));
        }
        return Proposal.of(sketches, "The notes between the two roots are out of the hand's reach.");
    }

    /** Single notes one after the other up to the end of the place; empty where one is out of reach. */
    private static Optional<List<Moment>> line(Gap gap, List<Integer> notes, double each, boolean low) {
        List<Moment> moments = new ArrayList<>();
        double from = gap.beats() - notes.size() * each;
        for (int note : notes) {
            Optional<Shape> shape = gap.single(note, low);
            if (shape.isEmpty()) {
                return Optional.empty();
            }
            int string = shape.get().lowestSounding().orElseThrow();
            moments.add(new Moment(from, each, shape.get(), List.of(string), Technique.PLUCKED));
            from += each;
        }
        return Optional.of(moments);
    }

    /** Eighths of the scale that lead into the next chord's highest note. */
    private static Proposal run(Gap gap) {
        Optional<Integer> target = gap.nextTop();
        if (target.isEmpty()) {
            return Proposal.none(NOTHING_FOLLOWS);
        }
        int most = (int) Math.min(MOST_RUN, Math.floor(gap.room() / EIGHTH));
        int direction = target.get() > gap.top() ? -1 : 1;
        List<Integer> notes = new ArrayList<>();
        int at = target.get();
        for (int i = 0; i < most; i++) {
            at = gap.neighbour(at, direction);
            notes.add(0, at);
        }
        if (notes.size() < 2) {
            return Proposal.none("There is no room for two notes.");
        }
        String reason =
                "The scale runs " + (direction < 0 ? "up" : "down") + " into the top of " + gap.nextName() + ".";
        return line(gap, notes, EIGHTH, false)
                .map(m -> Proposal.of(new Sketch("", reason, m)))
                .orElseGet(() -> Proposal.none("The scale into the next chord is out of the hand's reach."));
    }

    /** The next grip a fret lower, just before it: only where it moves as it is. */
    private static Proposal slideIn(Gap gap) {
        Optional<Shape> next = gap.nextShape();
        if (next.isEmpty() || next.get().openStrings() > 0 || next.get().toArray().length == 0) {
            return Proposal.none("The next grip has open strings: it does not slide.");
        }
        int[] frets = next.get().toArray();
        List<Integer> strings = new ArrayList<>();
        for (int string = 0; string < frets.length; string++) {
            if (frets[string] > 0) {
                frets[string]--;
                if (frets[string] == 0) {
                    return Proposal.none("The next grip stands at the first fret.");
                }
                strings.add(string);
            }
        }
        List<Integer> highest = strings.subList(Math.max(0, strings.size() - MOST_RUN), strings.size());
        Moment moment = new Moment(gap.beats() - EIGHTH, EIGHTH, Shape.of(frets), highest, Technique.PLUCKED);
        String reason = "The grip of " + gap.nextName() + " comes from a fret below and slides in on the beat.";
        return Proposal.of(new Sketch("", reason, List.of(moment)));
    }

    /** Two eighths of the scale into the first root of another section. */
    private static Proposal pickUp(Gap gap) {
        boolean newSection = gap.next()
                        .filter(n -> n.slot().barInSection() == 1)
                        .isPresent()
                && !gap.next().get().slot().section().equals(gap.here().slot().section());
        if (!newSection) {
            return Proposal.none("No new section begins after it.");
        }
        int target = gap.nextBass().orElseThrow();
        for (int direction : new int[] {-1, 1}) {
            int near = gap.neighbour(target, direction);
            Optional<List<Moment>> line = line(gap, List.of(gap.neighbour(near, direction), near), EIGHTH, true);
            if (line.isPresent()) {
                String reason = "Two notes of the scale lead into "
                        + gap.next().get().slot().section() + ".";
                return Proposal.of(new Sketch("", reason, line.get()));
            }
        }
        return Proposal.none("The notes before the next root are out of reach.");
    }

    /** An open string of the key, so that the whole hand is free on the way to the next grip. */
    private static Proposal openString(Gap gap) {
        if (gap.next().isEmpty() || gap.nextShape().equals(Optional.of(gap.shape()))) {
            return Proposal.none("The hand does not move after it.");
        }
        for (int string = gap.board().strings() - 1; string >= 0; string--) {
            if (gap.inKey(gap.board().midi(string, 0))) {
                Moment moment = new Moment(
                        gap.beats() - EIGHTH, EIGHTH, gap.only(string, 0), List.of(string), Technique.PLUCKED);
                String reason = "An open string sounds while the hand goes to " + gap.nextName() + ".";
                return Proposal.of(new Sketch("", reason, List.of(moment), true));
            }
        }
        return Proposal.none("No open string is in the key.");
    }

    /** The highest note falls by the scale on its string while the grip is held. */
    private static Proposal fallingLine(Gap gap) {
        int string = gap.shape().highestSounding();
        int first = gap.neighbour(gap.top(), -1);
        int second = gap.neighbour(first, -1);
        int lowest = gap.board().midi(string, 0);
        if (gap.room() < 2 || second < lowest || gap.chord().tones().size() < 3) {
            return Proposal.none("The top string has no room below for two notes of the scale.");
        }
        List<Moment> moments = new ArrayList<>();
        double at = gap.beats() - 2;
        for (int note : List.of(first, second)) {
            moments.add(new Moment(at, 1, gap.with(string, note - lowest), List.of(string), Technique.PLUCKED));
            at++;
        }
        return Proposal.of(
                new Sketch("", "The top of " + gap.name() + " falls by the scale while the rest stays.", moments));
    }

    /** The last chord from its lowest string to its highest. */
    private static Proposal endingRoll(Gap gap) {
        if (gap.next().isPresent()) {
            return Proposal.none("This is not the last chord.");
        }
        List<Integer> strings = new ArrayList<>();
        for (int string = 0; string < gap.board().strings(); string++) {
            if (!gap.shape().isSilent(string)) {
                strings.add(string);
            }
        }
        List<Integer> rolled = strings.subList(Math.max(0, strings.size() - MOST_RUN), strings.size());
        List<Moment> moments = new ArrayList<>();
        double at = gap.from();
        for (int string : rolled) {
            moments.add(new Moment(at, EIGHTH, gap.shape(), List.of(string), Technique.PLUCKED));
            at += EIGHTH;
        }
        return gap.room() < rolled.size() * EIGHTH
                ? Proposal.none("There is no room to roll it.")
                : Proposal.of(new Sketch(
                        "", "The last " + gap.name() + " is rolled from low to high and left to ring.", moments));
    }

    /** Whether a note of a fill is outside the key: an approach to the one after it. */
    static boolean isChromatic(Gap gap, int midi) {
        boolean ofChord = gap.chord().tones().stream().anyMatch(t -> isNote(t, midi));
        return !ofChord && !gap.inKey(midi);
    }

    private static boolean isNote(ChordSymbol.Tone tone, int midi) {
        return tone.note().pitchClass() == Math.floorMod(midi, 12);
    }
}
