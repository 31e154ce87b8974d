package underhand.repertoire;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import underhand.chord.ChordSymbol;
import underhand.hand.Grip;
import underhand.hand.Parameters;
import underhand.move.ChangeBound;
import underhand.move.ChangeModel;
import underhand.texture.Motion;

/**
 * Prices of the changes between the grips of a song's chords with the capo at one place. A change is priced when it is
 * first asked for and kept, however often the two chords follow one another and however often the song is solved. For
 * one thread.
 */
public final class GripChanges {

    /** Part of a bound that stays one however the prices are rounded. */
    private static final double ROUNDED = 1 - 1e-6;

    private final ChangeModel hand;
    private final ChangeBound bound;
    private final VoiceLeading ear;
    private final double changeWeight;
    private final double lateWeight;
    private long floats;
    private final Map<ChordSymbol, Numbering> numberings = new HashMap<>();
    private final Map<Pair, Prices> prices = new HashMap<>();

    private record Pair(ChordSymbol from, ChordSymbol to, Motion motion) {}

    GripChanges(ChangeModel hand, ChangeBound bound, VoiceLeading ear, Parameters parameters) {
        this.hand = hand;
        this.bound = bound;
        this.ear = ear;
        this.changeWeight = parameters.get("route.change");
        this.lateWeight = parameters.get("late");
    }

    /** Bytes of the prices kept. */
    long bytes() {
        return Float.BYTES * floats;
    }

    /** What a change costs that needs more time than there is. */
    public double late(double neededSeconds, double availableSeconds) {
        return lateWeight * Math.max(0, neededSeconds - availableSeconds);
    }

    /** Numbers by which {@link Prices} knows grips of a chord; the same grip keeps its number. */
    public int[] numbers(ChordSymbol chord, List<RatedGrip> grips) {
        Numbering numbering = numberings.computeIfAbsent(chord, c -> new Numbering());
        return grips.stream().mapToInt(g -> numbering.of(g.grip())).toArray();
    }

    /** Prices of the changes between two chords' grips; both were numbered before. */
    public Prices between(ChordSymbol from, ChordSymbol to, Motion motion) {
        return prices.computeIfAbsent(
                new Pair(from, to, motion), pair -> new Prices(numberings.get(from), numberings.get(to), motion));
    }

    /** The grips of a chord in the order in which they were first met. */
    private final class Numbering {
        private final Map<Grip, Integer> numbers = new HashMap<>();
        private final List<Grip> grips = new ArrayList<>();
        private final List<VoiceLeading.Voices> voices = new ArrayList<>();
        private long[] outlines = new long[16];

        int of(Grip grip) {
            return numbers.computeIfAbsent(grip, g -> {
                if (grips.size() == outlines.length) {
                    outlines = Arrays.copyOf(outlines, 2 * outlines.length);
                }
                outlines[grips.size()] = ChangeBound.outline(g);
                grips.add(g);
                voices.add(ear.voices(g));
                return grips.size() - 1;
            });
        }
    }

    /** Effort and seconds of the changes between two chords' grips, by number; priced when they are needed. */
    public final class Prices {
        private static final float[] NONE = new float[0];

        /** Stands for the seconds of a change that is not priced yet. */
        private static final float NOT_PRICED = -1;

        private final Numbering from;
        private final Numbering to;
        private final Motion motion;

        /** By grip reached: effort and seconds of the change from each grip left, side by side; not priced, the least effort. */
        private float[][] known = new float[0][];

        private Prices(Numbering from, Numbering to, Motion motion) {
            this.from = from;
            this.to = to;
            this.motion = motion;
        }

        /** What a change costs with so many seconds for it; where that is more than {@code most}, anything above it. */
        public double cost(int left, int reached, double availableSeconds, double most) {
            int at = 2 * left;
            float[] row = reached < known.length ? known[reached] : NONE;
            if (at >= row.length) {
                row = row(reached);
            }
            float effort = row[at];
            if (row[at + 1] == NOT_PRICED) {
                if (effort > most) {
                    return effort;
                }
                price(row, left, reached);
            }
            return row[at] + late(row[at + 1], availableSeconds);
        }

        private void price(float[] row, int left, int reached) {
            ChangeModel.Cost cost = hand.cost(from.grips.get(left), to.grips.get(reached));
            VoiceLeading.Voices before = from.voices.get(left);
            VoiceLeading.Voices after = to.voices.get(reached);
            double heard = ear.effort(before, after) + ear.ofMotion(before, after, motion);
            row[2 * left] = (float) (changeWeight * cost.effort() + heard);
            row[2 * left + 1] = (float) cost.seconds();
        }

        /** The row of a grip reached, long enough for every grip numbered so far. */
        private float[] row(int reached) {
            if (reached >= known.length) {
                int rows = known.length;
                known = Arrays.copyOf(known, to.grips.size());
                Arrays.fill(known, rows, known.length, NONE);
            }
            int left = known[reached].length / 2;
            float[] row = Arrays.copyOf(known[reached], 2 * from.grips.size());
            floats += row.length - known[reached].length;
            for (; 2 * left < row.length; left++) {
                row[2 * left] = (float) (ROUNDED * changeWeight * bound.of(from.outlines[left], to.outlines[reached]));
                row[2 * left + 1] = NOT_PRICED;
            }
            known[reached] = row;
            return row;
        }
    }
}
