package underhand.neck;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;

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

    /** MIDI number of the highest open string there is, at the highest fret there is. */
    private static final int HIGHEST_PITCH = 127 + Guitar.MOST_FRETS;

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
        return find(demand, Bound.NONE, Double.POSITIVE_INFINITY);
    }

    /**
     * The shapes that may cost no more than so much; a branch is cut where it cannot.
     *
     * @param bound what a shape costs at least, told while it is put together
     */
    public List<Shape> find(ToneDemand demand, Bound bound, double most) {
        return new Search(demand, bound, most).run();
    }

    /** Whether a shape is among those that {@link #find} finds. */
    public boolean finds(ToneDemand demand, Shape shape) {
        if (shape.strings() != board.strings()
                || shape.sounding() < FEWEST_SOUNDING
                || shape.highestFret() > highestFret
                || shape.stoppedFrets() > MOST_FRETS_AT_ONCE
                || shape.highestFret() > highestReached(shape.lowestFretted().orElse(0))) {
            return false;
        }
        int tones = 0;
        int innerSilent = 0;
        int silent = 0;
        for (int string = 0; string < shape.strings(); string++) {
            if (shape.isSilent(string)) {
                silent++;
            } else {
                int midi = board.midi(string, shape.fret(string));
                if (tones == 0 ? !demand.allowsLowest(midi) : !demand.allows(midi)) {
                    return false;
                }
                innerSilent += tones == 0 ? 0 : silent;
                silent = 0;
                tones |= 1 << midi % 12;
            }
        }
        return innerSilent <= mostInnerSilent && (demand.required() & ~tones) == 0;
    }

    /** What a shape costs at least as far as it is put together; more of it never costs less. */
    public interface Bound {
        Bound NONE = new Bound() {
            @Override
            public double stopping(int fret, int strings, boolean lowest) {
                return 0;
            }

            @Override
            public double sounding(
                    int lowest, int mostSounding, int innerSilent, int silentSince, int unisons, int undamped) {
                return 0;
            }
        };

        /** What it costs to stop so many strings in one fret, the lowest that is stopped or another. */
        double stopping(int fret, int strings, boolean lowest);

        /**
         * What the sound costs beside that.
         *
         * @param lowestMidi lowest string's pitch; -1 while none sounds
         * @param mostSounding strings that may sound in the end
         * @param innerSilent silent strings between sounding ones so far
         * @param silentSince silent strings since the last that sounds; 0 while none does
         * @param unisons strings that sound a pitch another one sounds too
         * @param undamped silent strings inside with no stopped string beside them
         */
        double sounding(int lowestMidi, int mostSounding, int innerSilent, int silentSince, int unisons, int undamped);
    }

    private final class Search {
        private final ToneDemand demand;
        private final int strings = board.strings();
        private final int[] frets = new int[strings];
        private final List<Shape> found = new ArrayList<>();
        private final Bound bound;
        private final double most;

        /** Strings stopped so far, by fret, and what that costs at least. */
        private final int[] stoppedAt = new int[board.frets() + 1];

        private double stopping;

        /** Strings that sound so far, by pitch, and how many of them sound what another one does. */
        private final int[] soundingAt = new int[HIGHEST_PITCH + 1];

        private int unisons;
        private int undamped;
        private int lowestMidi = -1;

        /** Frets of each string at which it may sound above another, and at which it may sound lowest. */
        private final int[][] places;

        private final int[][] lowestPlaces;

        /** Highest fret the hand reaches, by the lowest it stops. */
        private final int[] reachedFrom = IntStream.rangeClosed(0, board.frets())
                .map(ShapeFinder.this::highestReached)
                .toArray();

        /** Lowest fret from which the hand reaches the highest it stops. */
        private final int[] reachedDownFrom = IntStream.rangeClosed(0, board.frets())
                .map(this::lowestThatReaches)
                .toArray();

        Search(ToneDemand demand, Bound bound, double most) {
            this.demand = demand;
            this.bound = bound;
            this.most = most;
            this.places = places(demand::allows);
            this.lowestPlaces = places(demand::allowsLowest);
        }

        private int[][] places(IntPredicate allows) {
            return IntStream.range(0, strings)
                    .mapToObj(string -> IntStream.rangeClosed(0, highestFret)
                            .filter(fret -> allows.test(board.midi(string, fret)))
                            .toArray())
                    .toArray(int[][]::new);
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
            int silentSince = sounding == 0 ? 0 : silentBefore;
            if (stopping
                            + bound.sounding(
                                    lowestMidi,
                                    sounding + strings - string,
                                    innerSilent,
                                    silentSince,
                                    unisons,
                                    undamped)
                    > most) {
                return;
            }
            if (string == strings) {
                if (sounding >= FEWEST_SOUNDING) {
                    found.add(Shape.ofChecked(frets.clone()));
                }
                return;
            }
            frets[string] = Shape.SILENT;
            step(string + 1, sounding, tones, stopped, innerSilent, silentBefore + 1);
            int from = stopped == 0 ? 0 : reachedDownFrom[Long.SIZE - 1 - Long.numberOfLeadingZeros(stopped)];
            int to = stopped == 0 ? highestFret : reachedFrom[Long.numberOfTrailingZeros(stopped)];
            for (int fret : sounding == 0 ? lowestPlaces[string] : places[string]) {
                if (fret > to) {
                    break;
                }
                long with = fret == 0 ? stopped : stopped | 1L << fret;
                if (fret == 0 || fret >= from && Long.bitCount(with) <= MOST_FRETS_AT_ONCE) {
                    frets[string] = fret;
                    int inner = sounding == 0 ? 0 : innerSilent + silentBefore;
                    double before = stopping;
                    int lowestBefore = lowestMidi;
                    int midi = board.midi(string, fret);
                    lowestMidi = sounding == 0 ? midi : lowestMidi;
                    int undampedBefore = undamped;
                    undamped += sounding == 0 ? 0 : undamped(string, fret, silentBefore);
                    unisons += soundingAt[midi]++ > 0 ? 1 : 0;
                    if (fret > 0) {
                        stop(fret, stopped);
                    }
                    step(string + 1, sounding + 1, tones | 1 << midi % 12, with, inner, 0);
                    stoppedAt[fret] -= fret > 0 ? 1 : 0;
                    stopping = before;
                    undamped = undampedBefore;
                    unisons -= --soundingAt[midi] > 0 ? 1 : 0;
                    lowestMidi = lowestBefore;
                }
            }
        }

        /** Stops one string more in a fret, and adds what that costs at least. */
        private void stop(int fret, long stoppedBefore) {
            int lowest = stoppedBefore == 0 ? fret : Long.numberOfTrailingZeros(stoppedBefore);
            int strings = ++stoppedAt[fret];
            if (fret < lowest) {
                stopping += bound.stopping(lowest, stoppedAt[lowest], false)
                        - bound.stopping(lowest, stoppedAt[lowest], true);
            }
            boolean isLowest = fret <= lowest;
            stopping += bound.stopping(fret, strings, isLowest)
                    - (strings == 1 ? 0 : bound.stopping(fret, strings - 1, isLowest));
        }

        /** Silent strings just below one, within the shape, that no stopped string beside them damps. */
        private int undamped(int string, int fret, int silent) {
            if (silent == 0) {
                return 0;
            }
            int stopped = (fret > 0 ? 1 : 0) + (frets[string - silent - 1] > 0 ? 1 : 0);
            return silent == 1 ? stopped > 0 ? 0 : 1 : silent - stopped;
        }

        /** The lowest fret from which a fret is still reached. */
        private int lowestThatReaches(int highest) {
            int lowest = highest;
            while (lowest > 0 && reachedFrom[lowest - 1] >= highest) {
                lowest--;
            }
            return lowest;
        }
    }

    private int highestReached(int lowest) {
        int highest = lowest;
        while (highest < board.frets() && board.pressMm(highest + 1) - board.pressMm(lowest) <= reachMm) {
            highest++;
        }
        return highest;
    }
}
