package underhand.repertoire;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.Map;
import underhand.hand.Grip;
import underhand.hand.Parameters;
import underhand.move.ChangeTerm;
import underhand.neck.Fretboard;
import underhand.settings.HouseRule;
import underhand.settings.HouseRules;
import underhand.settings.Setting;

/**
 * What a change of grip costs the ear: how far the voices move, notes in common that leave their string, and how the top
 * line goes.
 *
 * <p>The distance of two sets of voices is the least total movement in semitones over all matchings in which every voice
 * has a partner (D. Tymoczko, Science 313, 2006, from memory). Sorted voices need no crossing, so it is found by dynamic
 * programming in O(n m). All terms are 0 or more.
 */
public final class VoiceLeading {

    /** A top line that moves this far is moving. */
    private static final int MOVING = 4;

    private static final int OCTAVE = 12;

    private final Fretboard board;
    private final double semitone;
    private final double commonTone;
    private final double topLine;
    private final double motion;

    public VoiceLeading(Fretboard board, Setting setting, HouseRules houseRules, Parameters parameters) {
        this.board = board;
        this.semitone = parameters.get("voices.semitone." + setting.id());
        this.commonTone = parameters.get("voices.common");
        this.topLine = parameters.get("voices.top");
        this.motion = houseRules.get(HouseRule.MOTION);
    }

    /** A grip as the ear has it. */
    static final class Voices {

        /** Sounding MIDI numbers, low to high. */
        private final int[] ascending;

        /** Sounding MIDI number of each string; 0 for a silent one. */
        private final int[] byString;

        /** A bit for each MIDI number that sounds: below 64, and from 64 on. */
        private final long[] sounding = new long[2];

        private Voices(int[] byString) {
            this.byString = byString;
            this.ascending =
                    Arrays.stream(byString).filter(midi -> midi != 0).sorted().toArray();
            for (int midi : ascending) {
                sounding[midi >> 6] |= 1L << midi;
            }
        }

        int top() {
            return ascending[ascending.length - 1];
        }

        boolean sounds(int midi) {
            return (sounding[midi >> 6] >> midi & 1) == 1;
        }
    }

    /** The voices of a grip, from which {@link #effort} is told. */
    public Voices voices(Grip grip) {
        int[] byString = new int[grip.shape().strings()];
        for (int string = 0; string < byString.length; string++) {
            byString[string] = grip.shape().isSilent(string)
                    ? 0
                    : board.midi(string, grip.shape().fret(string));
        }
        return new Voices(byString);
    }

    /** What the voices' ways from one grip to the next cost. */
    public double effort(Voices from, Voices to) {
        return semitone * distance(from.ascending, to.ascending)
                + commonTone * strayCommonTones(from, to)
                + topLine(from.top(), to.top());
    }

    /** The same as {@link #effort}, term by term; terms that are 0 are left out. */
    public Map<ChangeTerm, Double> terms(Grip before, Grip after) {
        Voices from = voices(before);
        Voices to = voices(after);
        Map<ChangeTerm, Double> terms = new EnumMap<>(ChangeTerm.class);
        put(terms, ChangeTerm.VOICES, semitone * distance(from.ascending, to.ascending));
        put(terms, ChangeTerm.COMMON_TONES, commonTone * strayCommonTones(from, to));
        put(terms, ChangeTerm.TOP_LINE, topLine(from.top(), to.top()));
        return terms;
    }

    private static void put(Map<ChangeTerm, Double> terms, ChangeTerm term, double value) {
        if (value > 0) {
            terms.put(term, value);
        }
    }

    /** Least total movement in semitones between two ascending rows of pitches, each with one voice at least. */
    static int distance(int[] before, int[] after) {
        int[] best = new int[after.length];
        for (int i = 0; i < before.length; i++) {
            int diagonal = 0;
            for (int j = 0; j < after.length; j++) {
                int above = best[j];
                int least;
                if (i == 0) {
                    least = j == 0 ? 0 : best[j - 1];
                } else {
                    least = j == 0 ? above : Math.min(diagonal, Math.min(above, best[j - 1]));
                }
                diagonal = above;
                best[j] = least + Math.abs(before[i] - after[j]);
            }
        }
        return best[after.length - 1];
    }

    /** Notes that sound in both grips, but on another string in the second. */
    private static int strayCommonTones(Voices from, Voices to) {
        int stray = 0;
        for (int string = 0; string < from.byString.length; string++) {
            int midi = from.byString[string];
            stray += midi != 0 && midi != to.byString[string] && to.sounds(midi) ? 1 : 0;
        }
        return stray;
    }

    private double topLine(int before, int after) {
        int way = Math.abs(after - before);
        return motion > 0 ? topLine * motion * Math.max(0, MOVING - way) : topLine * -motion * Math.min(OCTAVE, way);
    }
}
