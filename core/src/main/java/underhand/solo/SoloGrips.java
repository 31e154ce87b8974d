package underhand.solo;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.stream.IntStream;
import underhand.chord.ChordSymbol;
import underhand.hand.Effort;
import underhand.hand.EffortTerm;
import underhand.hand.FingeringSearch;
import underhand.hand.Grip;
import underhand.hand.HandEffort;
import underhand.hand.Hold;
import underhand.hand.NearGrips;
import underhand.hand.Parameters;
import underhand.neck.Fretboard;
import underhand.neck.Shape;
import underhand.neck.Tuning;
import underhand.repertoire.RatedGrip;
import underhand.repertoire.TaughtParts;
import underhand.settings.FrettingHand;

/**
 * The grips a hand can play a moment with: chords gripped anew under a note of the tune, a chord that is held while a finger
 * takes the next note, and the tune alone. Known ones are kept. For one thread.
 */
final class SoloGrips {

    /** Shapes of a chord that are fingered, the cheapest at a glance. */
    private static final int FINGERED = 56;

    /** Grips kept of a chord with its tune on one string, and in all. */
    private static final int KEPT_ON_A_STRING = 10;

    private static final int KEPT = 26;

    /** A song with more moments has fewer grips for each, this many at least. */
    private static final int MANY_MOMENTS = 1200;

    private static final int FEWEST_KEPT = 5;

    /** Ways kept to take a note over a chord that is held. */
    private static final int WAYS = 3;

    private static final int FINGERS = 4;

    private final Fretboard board;
    private final Manner manner;
    private final Under under;
    private final FingeringSearch fingerings;
    private final HandEffort hand;
    private final NearGrips near;
    private final int highestFret;
    private final int highestTune;
    private final double reachMm;
    private final int kept;
    private final boolean isStandard;
    private final double untaught;
    private final double added;
    private final double beyond;
    private final double leftOut;

    private final Map<Wanted, List<SoloGrip>> chords = new HashMap<>();
    private final Map<Integer, List<SoloGrip>> alone = new HashMap<>();
    private final Map<Held, List<SoloGrip>> held = new HashMap<>();

    private record Wanted(ChordSymbol chord, boolean begins, int midi) {}

    private record Held(SoloGrip anchor, int midi) {
        @Override
        public boolean equals(Object other) {
            return other instanceof Held h && h.anchor == anchor && h.midi == midi;
        }

        @Override
        public int hashCode() {
            return 31 * System.identityHashCode(anchor) + midi;
        }
    }

    /** @param moments of the song: a long one is given fewer grips to choose from */
    SoloGrips(FrettingHand hand, Manner manner, int moments, Parameters parameters) {
        this.kept = moments <= MANY_MOMENTS ? KEPT : Math.max(FEWEST_KEPT, KEPT * MANY_MOMENTS / moments);
        this.board = hand.board();
        this.manner = manner;
        this.under = new Under(board, hand.voicing(), manner, parameters);
        this.fingerings = new FingeringSearch(board, hand.rung(), hand.player());
        this.hand = new HandEffort(board, hand.player(), parameters);
        this.near = new NearGrips(board);
        this.highestFret = Math.min(hand.rung().highestFret(), board.frets());
        this.highestTune = board.frets();
        this.reachMm = hand.player().spreads().widestMm(1, FINGERS);
        this.isStandard = board.tuning().equals(Tuning.STANDARD);
        this.untaught = parameters.get("solo.untaught");
        this.added = parameters.get("solo.added");
        this.beyond = parameters.get("habit.beyond");
        this.leftOut = parameters.get("solo.leftOut");
    }

    /** Whether there are fewer grips than a shorter song would have. */
    boolean isNarrowed() {
        return kept < KEPT;
    }

    /** Whether the neck has a note at all. */
    boolean hasNote(int midi) {
        for (int string = 0; string < board.strings(); string++) {
            int fret = midi - board.midi(string, 0);
            if (fret >= 0 && fret <= highestTune) {
                return true;
            }
        }
        return false;
    }

    /** Nothing is played: what is lacking counts as left out. */
    SoloGrip rest(Moment moment) {
        boolean isMissed = moment.tune() == Moment.Tune.STRUCK
                || moment.plain() && moment.segment().chord().isPresent();
        double sound = isMissed ? leftOut : 0;
        return new SoloGrip(near.nothing(), SoloGrip.NONE, SoloGrip.NONE, 0, sounding(sound + lacking(moment)));
    }

    /** The tune's note alone, on every string that has it, with every finger. */
    List<SoloGrip> alone(Moment moment) {
        double lacking = lacking(moment);
        return alone.computeIfAbsent(moment.midi(), this::alone).stream()
                .map(g -> lacking == 0
                        ? g
                        : new SoloGrip(
                                g.grip(),
                                g.top(),
                                g.bass(),
                                g.inner(),
                                with(g.effort(), EffortTerm.UNDER_TUNE, lacking)))
                .toList();
    }

    /** What it costs to sound nothing of the chord. */
    private double lacking(Moment moment) {
        return moment.begins() && moment.segment().chord().isPresent() ? under.of(ask(moment), new int[0], 0) : 0;
    }

    private Under.Ask ask(Moment moment) {
        return under.ask(moment.segment().sounding(), moment.begins(), moment.midi());
    }

    private List<SoloGrip> alone(int midi) {
        List<SoloGrip> grips = new ArrayList<>();
        for (int string = 0; string < board.strings(); string++) {
            int fret = midi - board.midi(string, 0);
            if (fret >= 0 && fret <= highestTune) {
                for (int finger = 1; finger <= (fret == 0 ? 1 : FINGERS); finger++) {
                    Grip grip = near.alone(string, fret, finger);
                    Effort effort = effort(grip, fret, under.ofTop(string));
                    grips.add(new SoloGrip(grip, string, SoloGrip.NONE, 0, effort));
                }
            }
        }
        return grips;
    }

    private Effort effort(Grip grip, int highest, double sound) {
        return new Effort.Builder()
                .addAll(hand.of(grip))
                .add(EffortTerm.BEYOND, highest > highestFret ? beyond : 0)
                .add(EffortTerm.UNDER_TUNE, sound)
                .build();
    }

    private static Effort sounding(double sound) {
        return new Effort.Builder().add(EffortTerm.UNDER_TUNE, sound).build();
    }

    private static Effort with(Effort effort, EffortTerm term, double value) {
        return new Effort.Builder().addAll(effort).add(term, value).build();
    }

    /** The chord of a moment gripped anew under its note, the cheapest first. */
    List<SoloGrip> chords(Moment moment) {
        Wanted wanted = new Wanted(moment.segment().sounding(), moment.begins(), moment.midi());
        return chords.computeIfAbsent(wanted, w -> new Search(ask(moment)).run());
    }

    /** The fingerings of one shape that has the tune of a moment on top; none where it has not. */
    List<SoloGrip> shaped(Moment moment, Shape shape) {
        if (shape.strings() != board.strings() || shape.highestFret() > board.frets()) {
            return List.of();
        }
        int top = shape.highestSounding();
        boolean sings = moment.midi() < 0 || top >= 0 && board.midi(top, shape.fret(top)) == moment.midi();
        return sings && moment.segment().chord().isPresent()
                ? new Search(ask(moment)).fingered(shape, moment.midi() < 0 ? SoloGrip.NONE : top)
                : List.of();
    }

    /** Puts together every shape of a chord under a note of the tune, string by string from the note down. */
    private final class Search {

        private final Under.Ask ask;
        private final int[] frets = new int[board.strings()];
        private final int[] pitches = new int[board.strings()];
        private final PriorityQueue<Found> best =
                new PriorityQueue<>(Comparator.comparingDouble(Found::atLeast).reversed());
        private int top;
        private double ofTop;

        private record Found(Shape shape, int top, double sound, double atLeast) {}

        Search(Under.Ask ask) {
            this.ask = ask;
        }

        List<SoloGrip> run() {
            if (manner.bass() == Manner.Bass.NONE) {
                return List.of();
            }
            Arrays.fill(frets, Shape.SILENT);
            if (ask.midi() < 0) {
                top = SoloGrip.NONE;
                lower(board.strings() - 1, 0, 0, 0);
            } else {
                for (int string = 1; string < board.strings(); string++) {
                    int fret = ask.midi() - board.midi(string, 0);
                    if (fret >= 0 && fret <= highestTune) {
                        top = string;
                        ofTop = under.ofTop(string);
                        frets[string] = fret;
                        lower(string - 1, 0, fret, fret);
                        frets[string] = Shape.SILENT;
                    }
                }
            }
            return fingered();
        }

        /**
         * @param count strings that sound under the tune so far
         * @param lowest lowest fret stopped so far; 0 for none
         */
        private void lower(int string, int count, int lowest, int highest) {
            if (string < 0 || count == manner.mostUnder()) {
                if (count > 0) {
                    add(count);
                }
                return;
            }
            lower(string - 1, count, lowest, highest);
            int most = manner.bass() == Manner.Bass.OPEN ? 0 : highestFret;
            for (int fret = 0; fret <= most; fret++) {
                int midi = board.midi(string, fret);
                boolean isBelow = ask.midi() < 0 || midi < ask.midi();
                if (isBelow && under.allows(ask, midi, true)) {
                    int low = fret == 0 ? lowest : lowest == 0 ? fret : Math.min(lowest, fret);
                    int high = Math.max(highest, fret);
                    if (low == 0 || board.pressMm(high) - board.pressMm(low) <= reachMm) {
                        frets[string] = fret;
                        pitches[count] = midi;
                        lower(string - 1, count + 1, low, high);
                        frets[string] = Shape.SILENT;
                    }
                }
            }
        }

        private void add(int count) {
            int[] rising = new int[count];
            for (int i = 0; i < count; i++) {
                rising[i] = pitches[count - 1 - i];
                boolean crosses = i > 0 && rising[i] <= rising[i - 1];
                if (crosses || i > 0 && !under.allows(ask, rising[i], false)) {
                    return;
                }
            }
            double sound = ofTop + under.of(ask, rising, count);
            if (best.size() == FINGERED && sound >= best.peek().atLeast()) {
                return;
            }
            Shape shape = Shape.of(frets);
            double atLeast = sound + hand.atLeast(shape);
            if (best.size() < FINGERED || atLeast < best.peek().atLeast()) {
                best.add(new Found(shape, top, sound, atLeast));
                if (best.size() > FINGERED) {
                    best.poll();
                }
            }
        }

        List<SoloGrip> fingered(Shape shape, int tuneString) {
            int[] rising = IntStream.range(0, shape.strings())
                    .filter(s -> !shape.isSilent(s) && s != tuneString)
                    .map(s -> board.midi(s, shape.fret(s)))
                    .toArray();
            double ofString = tuneString < 0 ? 0 : under.ofTop(tuneString);
            Found found = new Found(shape, tuneString, ofString + under.of(ask, rising, rising.length), 0);
            return fingerings.fingerings(shape).stream()
                    .map(g -> grip(found, g))
                    .filter(g -> g.effort().isPossible())
                    .sorted(Comparator.comparingDouble(SoloGrip::cost))
                    .toList();
        }

        private List<SoloGrip> fingered() {
            List<SoloGrip> grips = new ArrayList<>();
            for (Found found : best) {
                fingerings.fingerings(found.shape()).stream()
                        .map(g -> grip(found, g))
                        .filter(g -> g.effort().isPossible())
                        .min(Comparator.comparingDouble(SoloGrip::cost))
                        .ifPresent(grips::add);
            }
            grips.sort(Comparator.comparingDouble(SoloGrip::cost)
                    .thenComparing(
                            (a, b) -> a.grip().shape().compareInSearch(b.grip().shape())));
            Map<Integer, Integer> onString = new HashMap<>();
            grips.removeIf(g -> onString.merge(g.top(), 1, Integer::sum) > KEPT_ON_A_STRING);
            return List.copyOf(grips.subList(0, Math.min(kept, grips.size())));
        }

        private double untaught(Shape shape, Found found) {
            if (!isStandard || TaughtParts.contain(shape, SoloGrip.NONE)) {
                return 0;
            }
            return TaughtParts.contain(shape, found.top()) ? added : untaught;
        }

        private SoloGrip grip(Found found, Grip grip) {
            Shape shape = grip.shape();
            int bass = shape.lowestSounding().orElseThrow();
            int inner = 0;
            for (int string = bass + 1; string < shape.strings(); string++) {
                inner |= shape.isSilent(string) || string == found.top() ? 0 : 1 << string;
            }
            return new SoloGrip(
                    grip,
                    found.top(),
                    bass,
                    inner,
                    with(
                            effort(grip, shape.highestFret(), found.sound()),
                            EffortTerm.NEW_SHAPE,
                            untaught(shape, found)));
        }
    }

    /**
     * A note over a chord that is held: the finger that lies there already, an open string, a free finger, or one that leaves an
     * inner note. What sounds above the note is let go.
     */
    List<SoloGrip> over(SoloGrip anchor, Moment moment) {
        return held.computeIfAbsent(new Held(anchor, moment.midi()), key -> over(anchor, moment.midi()));
    }

    private List<SoloGrip> over(SoloGrip anchor, int midi) {
        List<SoloGrip> ways = new ArrayList<>();
        for (int string = 1; string < board.strings(); string++) {
            int fret = midi - board.midi(string, 0);
            if (fret >= 0 && fret <= highestTune && string > anchor.bass()) {
                over(anchor, string, fret, ways);
            }
        }
        ways.sort(Comparator.comparingDouble(SoloGrip::cost));
        return List.copyOf(ways.subList(0, Math.min(WAYS, ways.size())));
    }

    private void over(SoloGrip anchor, int string, int fret, List<SoloGrip> ways) {
        Grip base = anchor.grip();
        boolean isHeld = base.shape().fret(string) == fret;
        for (Hold hold : anchor.grip().holds()) {
            boolean above = hold.lowString() > string || hold.lowString() == string && !isHeld && !hold.isBarre();
            base = above ? near.without(base, hold.finger()) : base;
        }
        if (isHeld) {
            add(anchor, base, string, fret, ways);
            return;
        }
        if (fret == 0) {
            near.withOpen(base, string).ifPresent(g -> add(anchor, g, string, fret, ways));
            return;
        }
        int before = ways.size();
        for (int finger = 1; finger <= FINGERS; finger++) {
            near.with(base, finger, string, fret).ifPresent(g -> add(anchor, g, string, fret, ways));
        }
        if (ways.size() == before) {
            leaving(anchor, base, string, fret, ways);
        }
    }

    /** Takes a note with a finger that leaves an inner note for it. */
    private void leaving(SoloGrip anchor, Grip base, int string, int fret, List<SoloGrip> ways) {
        for (Hold hold : base.holds()) {
            if (!hold.isBarre() && anchor.playsInner(hold.lowString())) {
                Grip left = near.without(base, hold.finger());
                for (int finger = 1; finger <= FINGERS; finger++) {
                    near.with(left, finger, string, fret).ifPresent(g -> add(anchor, g, string, fret, ways));
                }
            }
        }
    }

    private void add(SoloGrip anchor, Grip grip, int top, int fret, List<SoloGrip> ways) {
        Effort all = effort(grip, grip.shape().highestFret(), 0);
        if (!all.isPossible()) {
            return;
        }
        int inner = 0;
        for (int string = 0; string < top; string++) {
            boolean stays = anchor.playsInner(string)
                    && grip.shape().fret(string) == anchor.grip().shape().fret(string);
            inner |= stays ? 1 << string : 0;
        }
        Effort more = new Effort.Builder()
                .add(EffortTerm.FINGERS, Math.max(0, all.total() - ofHand(anchor)))
                .add(EffortTerm.UNDER_TUNE, under.ofTop(top) + under.ofStopped(notBelow(anchor, board.midi(top, fret))))
                .build();
        ways.add(new SoloGrip(grip, top, anchor.bass(), inner, more, anchor));
    }

    /** Inner notes of a chord that are not below a note of the tune. */
    private int notBelow(SoloGrip anchor, int midi) {
        int notes = 0;
        for (int string = 0; string < board.strings(); string++) {
            boolean isAbove = anchor.playsInner(string)
                    && board.midi(string, anchor.grip().shape().fret(string)) >= midi;
            notes += isAbove ? 1 : 0;
        }
        return notes;
    }

    private static double ofHand(SoloGrip anchor) {
        return anchor.effort().total() - anchor.effort().of(EffortTerm.UNDER_TUNE);
    }

    /** A chord that is held on while the tune rests. */
    static SoloGrip heldOn(SoloGrip anchor) {
        return new SoloGrip(anchor.grip(), SoloGrip.NONE, anchor.bass(), anchor.inner(), sounding(0), anchor);
    }

    /** A whole chord of a section without a tune. */
    static SoloGrip plain(RatedGrip rated) {
        return new SoloGrip(rated.grip(), SoloGrip.NONE, SoloGrip.NONE, 0, rated.effort());
    }
}
