package underhand.arrange;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.Map;
import underhand.hand.Grip;
import underhand.hand.Parameters;
import underhand.move.ChangeTerm;
import underhand.neck.Fretboard;

/**
 * What a change of grip costs the ear: how far the voices move, notes in common that leave their string, and how the top
 * line goes.
 *
 * <p>The distance of two sets of voices is the least total movement in semitones over all matchings in which every voice
 * has a partner (D. Tymoczko, Science 313, 2006, from memory). Sorted voices need no crossing, so it is found by dynamic
 * programming in O(n m). All terms are 0 or more.
 */
final class VoiceLeading {

    /** A top line that moves this far is moving. */
    private static final int MOVING = 4;

    private static final int OCTAVE = 12;

    private final Fretboard board;
    private final double semitone;
    private final double commonTone;
    private final double topLine;
    private final double motion;

    VoiceLeading(Fretboard board, Setting setting, Taste taste, Parameters parameters) {
        this.board = board;
        this.semitone = parameters.get("voices.semitone." + setting.id());
        this.commonTone = parameters.get("voices.common");
        this.topLine = parameters.get("voices.top");
        this.motion = taste.motion();
    }

    double effort(Grip from, Grip to) {
        int[] before = voices(from);
        int[] after = voices(to);
        return semitone * distance(before, after)
                + commonTone * strayCommonTones(from, to)
                + topLine(before[before.length - 1], after[after.length - 1]);
    }

    /** The same as {@link #effort}, term by term; terms that are 0 are left out. */
    Map<ChangeTerm, Double> terms(Grip from, Grip to) {
        int[] before = voices(from);
        int[] after = voices(to);
        Map<ChangeTerm, Double> terms = new EnumMap<>(ChangeTerm.class);
        put(terms, ChangeTerm.VOICES, semitone * distance(before, after));
        put(terms, ChangeTerm.COMMON_TONES, commonTone * strayCommonTones(from, to));
        put(terms, ChangeTerm.TOP_LINE, topLine(before[before.length - 1], after[after.length - 1]));
        return terms;
    }

    private static void put(Map<ChangeTerm, Double> terms, ChangeTerm term, double value) {
        if (value > 0) {
            terms.put(term, value);
        }
    }

    private int[] voices(Grip grip) {
        int[] voices = new int[grip.shape().strings()];
        int count = 0;
        for (int string = 0; string < voices.length; string++) {
            if (!grip.shape().isSilent(string)) {
                voices[count++] = board.midi(string, grip.shape().fret(string));
            }
        }
        int[] sounding = Arrays.copyOf(voices, count);
        Arrays.sort(sounding);
        return sounding;
    }

    /** Least total movement in semitones between two ascending rows of pitches, each with one voice at least. */
    static int distance(int[] before, int[] after) {
        int[] previous = new int[after.length];
        for (int i = 0; i < before.length; i++) {
            int[] current = new int[after.length];
            for (int j = 0; j < after.length; j++) {
                int best;
                if (i == 0 && j == 0) {
                    best = 0;
                } else if (i == 0) {
                    best = current[j - 1];
                } else if (j == 0) {
                    best = previous[0];
                } else {
                    best = Math.min(previous[j - 1], Math.min(previous[j], current[j - 1]));
                }
                current[j] = best + Math.abs(before[i] - after[j]);
            }
            previous = current;
        }
        return previous[after.length - 1];
    }

    /** Notes that sound in both grips but on another string, or are struck anew on theirs by another fret. */
    private int strayCommonTones(Grip from, Grip to) {
        int stray = 0;
        for (int string = 0; string < from.shape().strings(); string++) {
            if (!from.shape().isSilent(string)
                    && from.shape().fret(string) != to.shape().fret(string)) {
                stray += sounds(to, board.midi(string, from.shape().fret(string))) ? 1 : 0;
            }
        }
        return stray;
    }

    private boolean sounds(Grip grip, int midi) {
        for (int string = 0; string < grip.shape().strings(); string++) {
            if (!grip.shape().isSilent(string)
                    && board.midi(string, grip.shape().fret(string)) == midi) {
                return true;
            }
        }
        return false;
    }

    private double topLine(int before, int after) {
        int way = Math.abs(after - before);
        return motion > 0 ? topLine * motion * Math.max(0, MOVING - way) : topLine * -motion * Math.min(OCTAVE, way);
    }
}
