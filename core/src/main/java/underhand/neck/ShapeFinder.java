package underhand.neck;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;

/**
 * Finds every shape of a chord on a neck by depth-first search over the strings, low to high.
 *
 * <p>A branch is cut as soon as the fretted places lie further apart than a hand can reach or the tones that are still
 * missing outnumber the strings that are left. Time O(c^s) at worst for c places of chord tones on each of s strings;
 * the reach keeps it to a few thousand shapes on a six-string neck. Shapes come in the order of the search: string by
 * string, silence first, then rising frets. No answer is an empty list.
 */
public final class ShapeFinder {

    /** Fewest strings that sound together: two make a tenth or a pair of guide tones. */
    private static final int FEWEST_SOUNDING = 2;

    /** No hand stops more different frets at once: four fingers. */
    private static final int MOST_FRETS_AT_ONCE = 4;

    private final Fretboard board;
    private final int highestFret;
    private final double reachMm;
    private final int mostInnerSilent;

    /**
     * @param highestFret highest fret above the capo that may be used; cut to the neck's end
     * @param reachMm widest distance along the neck between two fretted places
     * @param mostInnerSilent most silent strings between sounding ones
     */
    public ShapeFinder(Fretboard board, int highestFret, double reachMm, int mostInnerSilent) {
        this.board = Objects.requireNonNull(board, "board");
        this.highestFret = Math.min(highestFret, board.frets());
        this.reachMm = reachMm;
        this.mostInnerSilent = mostInnerSilent;
    }

    public List<Shape> find(ToneDemand demand) {
        return new Search(demand).run();
    }

    private final class Search {
        private final ToneDemand demand;
        private final int strings = board.strings();
        private final int[] frets = new int[strings];
        private final List<Shape> found = new ArrayList<>();

        Search(ToneDemand demand) {
            this.demand = demand;
        }

        List<Shape> run() {
            step(0, 0, 0, 0, 0, 0);
            return found;
        }

        /**
         * Chooses a place for one string.
         *
         * @param tones pitch classes that sound so far, a bit each
         * @param stopped frets stopped so far, a bit each
         * @param innerSilent silent strings between sounding ones
         * @param silentBefore silent strings since the last that sounds
         */
        private void step(int string, int sounding, int tones, long stopped, int innerSilent, int silentBefore) {
            if (Integer.bitCount(demand.required() & ~tones) > strings - string || innerSilent > mostInnerSilent) {
                return;
            }
            if (string == strings) {
                if (sounding >= FEWEST_SOUNDING) {
                    found.add(Shape.of(frets));
                }
                return;
            }
            frets[string] = Shape.SILENT;
            step(string + 1, sounding, tones, stopped, innerSilent, silentBefore + 1);
            for (int fret = 0; fret <= highestFret; fret++) {
                int midi = board.midi(string, fret);
                boolean fits = sounding == 0 ? demand.allowsLowest(midi) : demand.allows(midi);
                long with = fret == 0 ? stopped : stopped | 1L << fret;
                if (fits && isInReach(with)) {
                    frets[string] = fret;
                    int inner = sounding == 0 ? 0 : innerSilent + silentBefore;
                    step(string + 1, sounding + 1, tones | 1 << midi % 12, with, inner, 0);
                }
            }
        }

        private boolean isInReach(long stopped) {
            if (stopped == 0) {
                return true;
            }
            int low = Long.numberOfTrailingZeros(stopped);
            int high = Long.SIZE - 1 - Long.numberOfLeadingZeros(stopped);
            return board.pressMm(high) - board.pressMm(low) <= reachMm && Long.bitCount(stopped) <= MOST_FRETS_AT_ONCE;
        }
    }
}
