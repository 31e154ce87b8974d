package underhand.fill;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import underhand.chord.ChordSymbol;
import underhand.fill.Sketch.Moment;
import underhand.neck.Shape;

/** The kinds of fills, common practice all. */
final class FillRules {

    static final String SLIDE_IN = "slide-in";

    static final List<FillRule> ALL = List.of(
            new FillRule("bass-walk", "bass walk", 3, FillRules::bassWalk),
            new FillRule("tenths", "passing tenths", 4, FillRules::tenths),
            new FillRule("run", "run", 4, FillRules::run),
            new FillRule("hammer-on", "hammer-on", 3, gap -> ornament(gap, true)),
            new FillRule("pull-off", "pull-off", 3, gap -> ornament(gap, false)),
            new FillRule(SLIDE_IN, "half-step slide", 4, FillRules::slideIn),
            new FillRule("pick-up", "pick-up", 3, FillRules::pickUp),
            new FillRule("open-string", "open string while the hand moves", 2, FillRules::openString),
            new FillRule("falling-line", "falling line", 4, FillRules::fallingLine),
            new FillRule("ending-roll", "rolled ending", 2, FillRules::endingRoll));

    private static final int MOST_WALKED = 3;
    private static final int MOST_RUN = 4;
    private static final double EIGHTH = 0.5;
    private static final int TENTH_STRINGS = 3;
    private static final int MINOR_TENTH = 15;
    private static final int MAJOR_TENTH = 16;

    private FillRules() {}

    /** Quarter notes from one root to the next: by the notes of the key, or by half steps into the next root. */
    private static List<Sketch> bassWalk(Gap gap) {
        Optional<Integer> target = gap.nextBass();
        if (target.isEmpty() || target.get() == gap.bass()) {
            return List.of();
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
        return sketches;
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

    /** A root of the scale between the two chords, and its third a tenth above, on the sixth and third or fifth and second string. */
    private static List<Sketch> tenths(Gap gap) {
        Optional<Integer> target = gap.nextBass();
        if (target.isEmpty() || target.get() == gap.bass()) {
            return List.of();
        }
        int direction = Integer.signum(target.get() - gap.bass());
        int between = gap.neighbour(target.get(), -direction);
        if (between == gap.bass() || Integer.signum(between - gap.bass()) != direction) {
            return List.of();
        }
        for (int string = 0; string + TENTH_STRINGS < gap.board().strings() && string < 2; string++) {
            int above = gap.inKey(between + MAJOR_TENTH) ? MAJOR_TENTH : MINOR_TENTH;
            int low = between - gap.board().midi(string, 0);
            int high = between + above - gap.board().midi(string + TENTH_STRINGS, 0);
            if (low >= 0 && high >= 0 && Math.max(low, high) <= gap.highestFret()) {
                int[] frets = gap.silent();
                frets[string] = low;
                frets[string + TENTH_STRINGS] = high;
                Moment moment = new Moment(
                        gap.beats() - 1,
                        1,
                        Shape.of(frets),
                        List.of(string, string + TENTH_STRINGS),
                        Technique.PLUCKED);
                String reason = "A tenth of the scale stands between " + gap.name() + " and " + gap.nextName() + ".";
                return List.of(new Sketch("", reason, List.of(moment)));
            }
        }
        return List.of();
    }

    /** Eighths of the scale that lead into the next chord's highest note. */
    private static List<Sketch> run(Gap gap) {
        Optional<Integer> target = gap.nextTop();
        if (target.isEmpty()) {
            return List.of();
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
            return List.of();
        }
        String reason =
                "The scale runs " + (direction < 0 ? "up" : "down") + " into the top of " + gap.nextName() + ".";
        return line(gap, notes, EIGHTH, false)
                .map(m -> List.of(new Sketch("", reason, m)))
                .orElse(List.of());
    }

    /**
     * Ninth to third where the ninth is in the key, else third to eleventh: a hammer-on; the other way round a pull-off. On
     * the third degree the ninth is out of the key.
     */
    private static List<Sketch> ornament(Gap gap, boolean up) {
        List<Sketch> sketches = new ArrayList<>();
        Optional<Integer> third = gap.chord().tones().stream()
                .filter(t -> t.interval().number() == 3)
                .map(t -> t.note().pitchClass())
                .findFirst();
        if (third.isEmpty()) {
            return sketches;
        }
        int root = gap.chord().root().pitchClass();
        for (int string = gap.board().strings() - 1; string >= 0 && sketches.isEmpty(); string--) {
            int fret = gap.shape().fret(string);
            if (fret == Shape.SILENT || gap.board().midi(string, fret) % 12 != third.get()) {
                continue;
            }
            int note = gap.board().midi(string, fret);
            boolean ninthInKey = gap.inKey(root + 2);
            int other =
                    ninthInKey ? note - Math.floorMod(note - root - 2, 12) : note + Math.floorMod(root + 5 - note, 12);
            int otherFret = fret + other - note;
            if (otherFret < 0 || otherFret > gap.highestFret() || !gap.inKey(other) || !gap.inKey(note)) {
                continue;
            }
            int low = Math.min(fret, otherFret);
            int high = Math.max(fret, otherFret);
            String from = ninthInKey ? "ninth" : "third";
            String to = ninthInKey ? "third" : "eleventh";
            double at = gap.beats() - 1;
            Moment first =
                    new Moment(at, EIGHTH, gap.with(string, up ? low : high), List.of(string), Technique.PLUCKED);
            Moment second = new Moment(
                    at + EIGHTH,
                    EIGHTH,
                    gap.with(string, up ? high : low),
                    List.of(string),
                    up ? Technique.HAMMER_ON : Technique.PULL_OFF);
            String reason = up
                    ? "From the " + from + " to the " + to + " of " + gap.name() + ": both are in the key."
                    : "From the " + to + " down to the " + from + " of " + gap.name() + ": both are in the key.";
            sketches.add(new Sketch("", reason, List.of(first, second), true));
        }
        return sketches;
    }

    /** The next grip a fret lower, just before it: only where it moves as it is. */
    private static List<Sketch> slideIn(Gap gap) {
        Optional<Shape> next = gap.nextShape();
        if (next.isEmpty() || next.get().openStrings() > 0 || next.get().toArray().length == 0) {
            return List.of();
        }
        int[] frets = next.get().toArray();
        List<Integer> strings = new ArrayList<>();
        for (int string = 0; string < frets.length; string++) {
            if (frets[string] > 0) {
                frets[string]--;
                if (frets[string] == 0) {
                    return List.of();
                }
                strings.add(string);
            }
        }
        List<Integer> highest = strings.subList(Math.max(0, strings.size() - MOST_RUN), strings.size());
        Moment moment = new Moment(gap.beats() - EIGHTH, EIGHTH, Shape.of(frets), highest, Technique.PLUCKED);
        String reason = "The grip of " + gap.nextName() + " comes from a fret below and slides in on the beat.";
        return List.of(new Sketch("", reason, List.of(moment)));
    }

    /** Two eighths of the scale into the first root of another section. */
    private static List<Sketch> pickUp(Gap gap) {
        boolean newSection = gap.next()
                        .filter(n -> n.slot().barInSection() == 1)
                        .isPresent()
                && !gap.next().get().slot().section().equals(gap.here().slot().section());
        if (!newSection) {
            return List.of();
        }
        int target = gap.nextBass().orElseThrow();
        for (int direction : new int[] {-1, 1}) {
            int near = gap.neighbour(target, direction);
            Optional<List<Moment>> line = line(gap, List.of(gap.neighbour(near, direction), near), EIGHTH, true);
            if (line.isPresent()) {
                String reason = "Two notes of the scale lead into "
                        + gap.next().get().slot().section() + ".";
                return List.of(new Sketch("", reason, line.get()));
            }
        }
        return List.of();
    }

    /** An open string of the key, so that the whole hand is free on the way to the next grip. */
    private static List<Sketch> openString(Gap gap) {
        if (gap.next().isEmpty() || gap.nextShape().equals(Optional.of(gap.shape()))) {
            return List.of();
        }
        for (int string = gap.board().strings() - 1; string >= 0; string--) {
            if (gap.inKey(gap.board().midi(string, 0))) {
                Moment moment = new Moment(
                        gap.beats() - EIGHTH, EIGHTH, gap.only(string, 0), List.of(string), Technique.PLUCKED);
                String reason = "An open string sounds while the hand goes to " + gap.nextName() + ".";
                return List.of(new Sketch("", reason, List.of(moment), true));
            }
        }
        return List.of();
    }

    /** The highest note falls by the scale on its string while the grip is held. */
    private static List<Sketch> fallingLine(Gap gap) {
        int string = gap.shape().highestSounding();
        int first = gap.neighbour(gap.top(), -1);
        int second = gap.neighbour(first, -1);
        int lowest = gap.board().midi(string, 0);
        if (gap.room() < 2 || second < lowest || gap.chord().tones().size() < 3) {
            return List.of();
        }
        List<Moment> moments = new ArrayList<>();
        double at = gap.beats() - 2;
        for (int note : List.of(first, second)) {
            moments.add(new Moment(at, 1, gap.with(string, note - lowest), List.of(string), Technique.PLUCKED));
            at++;
        }
        return List.of(
                new Sketch("", "The top of " + gap.name() + " falls by the scale while the rest stays.", moments));
    }

    /** The last chord from its lowest string to its highest. */
    private static List<Sketch> endingRoll(Gap gap) {
        if (gap.next().isPresent()) {
            return List.of();
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
                ? Collections.emptyList()
                : List.of(new Sketch(
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
