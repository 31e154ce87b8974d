package underhand.solo;

import java.util.List;
import underhand.neck.Fretboard;
import underhand.picking.PatternRun;
import underhand.picking.PlayedPatterns;

/** When the strings of a moment are struck, and so how much time there is to leave it. */
final class SoloTiming {

    /** A moment that lasts so many beats has a gap for the inner notes. */
    private static final double GAP = 1;

    private final Manner manner;
    private final PlayedPatterns patterns;
    private final Fretboard board;
    private final double beatSeconds;

    SoloTiming(Manner manner, PlayedPatterns patterns, Fretboard board, int tempo) {
        this.manner = manner;
        this.patterns = patterns;
        this.board = board;
        this.beatSeconds = 60.0 / tempo;
    }

    /** Beats after its start at which the inner notes of a grip sound in the gap of a moment; 0 where it has none. */
    double gap(Moment moment, SoloGrip held) {
        boolean hasGap = held.inner() != 0 && moment.beats() >= GAP;
        return hasGap ? moment.beats() >= 2 * GAP ? GAP : moment.beats() / 2 : 0;
    }

    /** Whether the inner notes are struck as the chord begins: where they belong there, or have no other place. */
    boolean isTogether(Moment moment, SoloGrip held) {
        return moment.begins() && held.inner() != 0 && (manner.together() || gap(moment, held) == 0);
    }

    double secondsToLeave(Moment moment, SoloGrip left) {
        if (!moment.plain()) {
            return (moment.beats() - gap(moment, left)) * beatSeconds;
        }
        List<PatternRun.Struck> run = PatternRun.over(
                patterns.pattern(moment.slot()),
                moment.slot().metre(),
                moment.segment().beat(),
                moment.beats());
        return patterns.secondsToLeave(
                run, moment.beats(), left.grip().shape(), moment.segment().sounding(), board);
    }
}
