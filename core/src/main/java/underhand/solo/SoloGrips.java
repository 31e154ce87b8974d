package underhand.solo;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import underhand.chord.ChordSymbol;
import underhand.hand.Effort;
import underhand.hand.EffortTerm;
import underhand.hand.FingeringSearch;
import underhand.hand.Grip;
import underhand.hand.NearGrips;
import underhand.hand.Parameters;
import underhand.neck.Fretboard;
import underhand.neck.Shape;
import underhand.pitch.Key;
import underhand.repertoire.RatedGrip;
import underhand.settings.FrettingHand;

/**
 * The grips a hand can play a moment with: chords gripped anew under a note of the tune, a chord that is held while a finger
 * takes the next note, and the tune alone. Known ones are kept. For one thread.
 */
final class SoloGrips {

    /** Grips kept of a chord. */
    private static final int KEPT = 26;

    /** A song with more moments has fewer grips for each, this many at least. */
    private static final int MANY_MOMENTS = 1200;

    private static final int FEWEST_KEPT = 5;
    private static final int FINGERS = 4;

    private final Fretboard board;
    private final Under under;
    private final SoloEfforts efforts;
    private final NearGrips near;
    private final ChordSearch.Hand search;
    private final HeldChords chordsHeld;
    private final int kept;
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

    /**
     * @param key of the song
     * @param moments of the song: a long one is given fewer grips to choose from
     */
    SoloGrips(FrettingHand hand, Manner manner, Key key, int moments, Parameters parameters) {
        this.kept = moments <= MANY_MOMENTS ? KEPT : Math.max(FEWEST_KEPT, KEPT * MANY_MOMENTS / moments);
        this.board = hand.board();
        this.under = new Under(board, hand.voicing(), manner, key, parameters);
        this.efforts = new SoloEfforts(hand, board, manner, parameters);
        this.near = new NearGrips(board);
        this.search = new ChordSearch.Hand(
                board,
                manner,
                under,
                efforts,
                new FingeringSearch(board, hand.rung(), hand.player()),
                hand.player().spreads().widestMm(1, FINGERS));
        this.chordsHeld = new HeldChords(board, under, efforts);
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
            if (fret >= 0 && fret <= board.frets()) {
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
        return new SoloGrip(
                near.nothing(), SoloGrip.NONE, SoloGrip.NONE, 0, SoloEfforts.sounding(sound + lacking(moment)));
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
                                SoloEfforts.with(g.effort(), EffortTerm.UNDER_TUNE, lacking)))
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
            if (fret >= 0 && fret <= board.frets() && under.maySing(string, midi)) {
                for (int finger = 1; finger <= (fret == 0 ? 1 : FINGERS); finger++) {
                    Grip grip = near.alone(string, fret, finger);
                    Effort effort = efforts.of(grip, under.ofTop(string));
                    grips.add(new SoloGrip(grip, string, SoloGrip.NONE, 0, effort));
                }
            }
        }
        return grips;
    }

    /** The chord of a moment gripped anew under its note, the cheapest first. */
    List<SoloGrip> chords(Moment moment) {
        Wanted wanted = new Wanted(moment.segment().sounding(), moment.begins(), moment.midi());
        return chords.computeIfAbsent(wanted, w -> new ChordSearch(search, ask(moment)).run(kept));
    }

    /** The fingerings of one shape that has the tune of a moment on top; none where it has not. */
    List<SoloGrip> shaped(Moment moment, Shape shape) {
        if (shape.strings() != board.strings() || shape.highestFret() > board.frets()) {
            return List.of();
        }
        int top = shape.highestSounding();
        boolean sings = moment.midi() < 0 || top >= 0 && board.midi(top, shape.fret(top)) == moment.midi();
        return sings && moment.segment().chord().isPresent()
                ? new ChordSearch(search, ask(moment)).fingered(shape, moment.midi() < 0 ? SoloGrip.NONE : top)
                : List.of();
    }

    /** A note of a moment over a chord that is held. */
    List<SoloGrip> over(SoloGrip anchor, Moment moment) {
        return held.computeIfAbsent(new Held(anchor, moment.midi()), key -> chordsHeld.over(anchor, moment.midi()));
    }

    /** A chord that is held on while the tune rests. */
    static SoloGrip heldOn(SoloGrip anchor) {
        return new SoloGrip(
                anchor.grip(), SoloGrip.NONE, anchor.bass(), anchor.inner(), SoloEfforts.sounding(0), anchor);
    }

    /** A whole chord of a section without a tune. */
    static SoloGrip plain(RatedGrip rated) {
        return new SoloGrip(rated.grip(), SoloGrip.NONE, SoloGrip.NONE, 0, rated.effort());
    }
}
