package underhand.neckmap;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import underhand.chord.ChordSymbol;
import underhand.hand.FingeringSearch;
import underhand.hand.HandEffort;
import underhand.hand.Parameters;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.neck.Fretboard;
import underhand.neck.Shape;

/** A chord's root, third and fifth on three neighbouring strings, wherever they lie close. */
final class Triads {

    private static final int STRINGS = 3;
    private static final int OCTAVE = 12;

    private final Fretboard board;
    private final FingeringSearch fingerings;
    private final HandEffort hand;

    Triads(Fretboard board, Player player) {
        this.board = board;
        this.fingerings = new FingeringSearch(board, Rung.of(Rung.HIGHEST), player);
        this.hand = new HandEffort(board, player, Parameters.STANDARD);
    }

    /** Of each group of strings, the highest first; along the neck in each. None for a chord without three such notes. */
    List<NeckMap.Triad> of(ChordSymbol chord, int highestFret) {
        List<Integer> tones = chord.tones().stream()
                .filter(t -> t.interval().number() <= 5)
                .map(t -> t.note().pitchClass())
                .limit(STRINGS)
                .toList();
        List<NeckMap.Triad> found = new ArrayList<>();
        for (int low = board.strings() - STRINGS; tones.size() == STRINGS && low >= 0; low--) {
            for (int fret = 0; fret <= highestFret; fret++) {
                int inversion = tones.indexOf(board.midi(low, fret) % OCTAVE);
                if (inversion >= 0) {
                    add(low, fret, tones, inversion, highestFret, found);
                }
            }
        }
        return found;
    }

    private void add(
            int low, int fret, List<Integer> tones, int inversion, int highestFret, List<NeckMap.Triad> found) {
        int[] frets = new int[board.strings()];
        Arrays.fill(frets, Shape.SILENT);
        frets[low] = fret;
        int pitch = board.midi(low, fret);
        for (int voice = 1; voice < STRINGS; voice++) {
            int wanted = tones.get((inversion + voice) % STRINGS);
            pitch += Math.floorMod(wanted - pitch, OCTAVE);
            frets[low + voice] = pitch - board.midi(low + voice, 0);
            if (frets[low + voice] < 0 || frets[low + voice] > highestFret) {
                return;
            }
        }
        Shape shape = Shape.of(frets);
        if (fingerings.fingerings(shape).stream().anyMatch(g -> hand.of(g).isPossible())) {
            found.add(new NeckMap.Triad(low, inversion, shape));
        }
    }
}
