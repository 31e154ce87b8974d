package underhand.neckmap;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import underhand.neck.Fretboard;

/**
 * The notes of a scale or chord in one position, from the lowest string to the highest, each once: what a hand plays without
 * leaving its place. A string takes its notes up to where the next string has its first one, so that no note is left out.
 */
final class PositionLine {

    /** Frets under four fingers and one stretch. */
    private static final int REACH = 4;

    private static final int FINGERS = 4;

    private final Fretboard board;
    private final Tones tones;

    /** Strings from the lowest sounding to the highest: not their order on the neck in re-entrant tunings. */
    private final int[] strings;

    PositionLine(Fretboard board, Tones tones) {
        this.board = board;
        this.tones = tones;
        this.strings = IntStream.range(0, board.strings())
                .boxed()
                .sorted(Comparator.comparingInt(s -> board.midi(s, 0)))
                .mapToInt(s -> s)
                .toArray();
    }

    /** The line at a fret, or one below it, whichever stretches the hand less. */
    List<NeckMap.Stop> at(int fret) {
        List<Dot> best = List.of();
        for (int low = Math.max(0, fret - 1); low <= fret; low++) {
            List<Dot> line = from(low);
            if (best.isEmpty() || !line.isEmpty() && isEasier(line, best)) {
                best = line;
            }
        }
        return fingered(best);
    }

    private List<Dot> from(int low) {
        List<Dot> line = new ArrayList<>();
        int next = 0;
        for (int i = 0; i < strings.length; i++) {
            int open = board.midi(strings[i], 0);
            int end = i + 1 < strings.length ? firstFrom(strings[i + 1], low) : open + low + REACH + 1;
            for (int pitch = Math.max(next, open + low); pitch < end && pitch - open <= board.frets(); pitch++) {
                if (tones.has(pitch)) {
                    line.add(NeckMap.dot(strings[i], pitch - open, pitch, tones));
                    next = pitch + 1;
                }
            }
        }
        return line;
    }

    /** The lowest tone on a string from a fret on. */
    private int firstFrom(int string, int low) {
        int pitch = board.midi(string, low);
        while (!tones.has(pitch)) {
            pitch++;
        }
        return pitch;
    }

    private static boolean isEasier(List<Dot> line, List<Dot> than) {
        int stretch = Integer.compare(widest(line), widest(than));
        return stretch < 0 || stretch == 0 && window(line) < window(than);
    }

    /** Frets between the lowest and the highest note of the string where that is most. */
    private static int widest(List<Dot> line) {
        return line.stream()
                .mapToInt(Dot::string)
                .distinct()
                .map(string ->
                        window(line.stream().filter(d -> d.string() == string).toList()))
                .max()
                .orElse(0);
    }

    private static int window(List<Dot> line) {
        int low = line.stream().mapToInt(Dot::fret).min().orElse(0);
        return line.stream().mapToInt(Dot::fret).max().orElse(0) - low;
    }

    /** A finger a fret from where most notes lie under the four; beyond them the outer ones stretch. */
    private List<NeckMap.Stop> fingered(List<Dot> line) {
        int low = line.stream()
                .mapToInt(Dot::fret)
                .filter(f -> f > 0)
                .distinct()
                .boxed()
                .min(Comparator.<Integer>comparingLong(index -> outside(line, index))
                        .thenComparing(Comparator.naturalOrder()))
                .orElse(1);
        return line.stream()
                .map(dot -> new NeckMap.Stop(
                        dot, dot.fret() == 0 ? 0 : Math.max(1, Math.min(FINGERS, dot.fret() - low + 1))))
                .toList();
    }

    private static long outside(List<Dot> line, int index) {
        return line.stream()
                .filter(d -> d.fret() > 0 && (d.fret() < index || d.fret() >= index + FINGERS))
                .count();
    }
}
