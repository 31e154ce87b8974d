package underhand.solo;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import underhand.hand.Effort;
import underhand.hand.Grip;
import underhand.hand.Hold;
import underhand.hand.NearGrips;
import underhand.neck.Fretboard;

/** Notes of the tune over a chord that is held. */
final class HeldChords {

    /** Ways kept to take a note. */
    private static final int WAYS = 3;

    private static final int FINGERS = 4;

    private final Fretboard board;
    private final Under under;
    private final SoloEfforts efforts;
    private final NearGrips near;

    HeldChords(Fretboard board, Under under, SoloEfforts efforts) {
        this.board = board;
        this.under = under;
        this.efforts = efforts;
        this.near = new NearGrips(board);
    }

    /**
     * The ways to take a note: the finger that lies there already, an open string, a free finger, or one that leaves an inner note.
     * What sounds above the note is let go.
     */
    List<SoloGrip> over(SoloGrip anchor, int midi) {
        List<SoloGrip> ways = new ArrayList<>();
        for (int string = 1; string < board.strings(); string++) {
            int fret = midi - board.midi(string, 0);
            if (fret >= 0 && fret <= board.frets() && string > anchor.bass() && under.maySing(string, midi)) {
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
        Effort all = efforts.of(grip, 0);
        if (!all.isPossible()) {
            return;
        }
        int inner = 0;
        for (int string = 0; string < top; string++) {
            boolean stays = anchor.playsInner(string)
                    && grip.shape().fret(string) == anchor.grip().shape().fret(string);
            inner |= stays ? 1 << string : 0;
        }
        double sound = under.ofTop(top) + under.ofStopped(notBelow(anchor, board.midi(top, fret)));
        Effort more = efforts.more(all, anchor.effort(), sound);
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
}
