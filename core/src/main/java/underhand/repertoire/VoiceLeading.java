package underhand.repertoire;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import underhand.hand.Grip;
import underhand.hand.Parameters;
import underhand.move.ChangeTerm;
import underhand.neck.Fretboard;
import underhand.settings.HouseRule;
import underhand.settings.HouseRules;
import underhand.settings.Setting;
import underhand.texture.Motion;

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
    private static final int STRINGS = 16;

    private final Fretboard board;
    private final double semitone;
    private final double commonTone;
    private final double topLine;
    private final double motion;
    private final double led;
    private final double otherStrings;
    private final double wishedTop;

    public VoiceLeading(Fretboard board, Setting setting, HouseRules houseRules, Parameters parameters) {
        this.board = board;
        this.semitone = parameters.get("voices.semitone." + setting.id());
        this.commonTone = parameters.get("voices.common");
        this.topLine = parameters.get("voices.top");
        this.motion = houseRules.get(HouseRule.MOTION);
        this.led = parameters.get("texture.led");
        this.otherStrings = parameters.get("texture.strings");
        this.wishedTop = parameters.get("texture.top");
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

    /** What it costs that voices do not move as they are asked to, so much that effort only decides where nothing else does. */
    double ofMotion(Voices from, Voices to, Motion asked) {
        return led(from, to, asked) + wishedTop(from, to, asked);
    }

    private double led(Voices from, Voices to, Motion asked) {
        if (!asked.led()) {
            return 0;
        }
        boolean sameStrings = true;
        for (int string = 0; string < from.byString.length; string++) {
            sameStrings &= from.byString[string] == 0 == (to.byString[string] == 0);
        }
        return led * distance(from.ascending, to.ascending) + (sameStrings ? 0 : otherStrings);
    }

    private double wishedTop(Voices from, Voices to, Motion asked) {
        return asked.top()
                .map(top -> wishedTop * top.away(to.top() - from.top()))
                .orElse(0.0);
    }

    /** The same as {@link #effort}, term by term; terms that are 0 are left out. */
    public Map<ChangeTerm, Double> terms(Grip before, Grip after, Motion asked) {
        Voices from = voices(before);
        Voices to = voices(after);
        Map<ChangeTerm, Double> terms = new EnumMap<>(ChangeTerm.class);
        put(terms, ChangeTerm.LED, led(from, to, asked));
        put(terms, ChangeTerm.WISHED_TOP, wishedTop(from, to, asked));
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

    /**
     * Which voice goes where, the highest first: the matching in which all together move least, of equal ones that in which
     * voices stay on their strings. Where one grip has fewer voices, some part or meet.
     */
    public List<VoiceStep> steps(Grip before, Grip after) {
        int[] from = byPitch(voices(before).byString);
        int[] to = byPitch(voices(after).byString);
        Voices left = voices(before);
        Voices reached = voices(after);
        int[][] best = new int[from.length + 1][to.length + 1];
        for (int[] row : best) {
            Arrays.fill(row, Integer.MAX_VALUE / 2);
        }
        best[0][0] = 0;
        for (int i = 1; i <= from.length; i++) {
            for (int j = 1; j <= to.length; j++) {
                best[i][j] = Math.min(best[i - 1][j - 1], Math.min(best[i - 1][j], best[i][j - 1]))
                        + price(left, from[i - 1], reached, to[j - 1]);
            }
        }
        List<VoiceStep> steps = new ArrayList<>();
        int i = from.length;
        int j = to.length;
        while (i > 0 && j > 0) {
            int string = to[j - 1];
            steps.add(new VoiceStep(
                    reached.byString.length - string, left.byString[from[i - 1]], reached.byString[string]));
            int before1 = best[i - 1][j - 1];
            if (before1 <= best[i - 1][j] && before1 <= best[i][j - 1]) {
                i--;
                j--;
            } else if (best[i - 1][j] <= best[i][j - 1]) {
                i--;
            } else {
                j--;
            }
        }
        return steps;
    }

    /** Motion counts first, a change of string after it. */
    private static int price(Voices left, int from, Voices reached, int to) {
        return STRINGS * Math.abs(left.byString[from] - reached.byString[to]) + (from == to ? 0 : 1);
    }

    /** The strings that sound, the lowest pitch first. */
    private static int[] byPitch(int[] byString) {
        return IntStream.range(0, byString.length)
                .filter(string -> byString[string] != 0)
                .boxed()
                .sorted(Comparator.comparingInt(string -> byString[string]))
                .mapToInt(Integer::intValue)
                .toArray();
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
