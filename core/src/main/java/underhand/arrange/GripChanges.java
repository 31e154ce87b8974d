package underhand.arrange;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import underhand.chord.ChordSymbol;
import underhand.hand.Grip;
import underhand.hand.Parameters;
import underhand.move.ChangeModel;

/**
 * Prices of the changes between the grips of a song's chords with the capo at one place. A change is priced when it is
 * first asked for and kept, however often the two chords follow one another and however often the song is solved. For
 * one thread.
 */
final class GripChanges {

    private final ChangeModel hand;
    private final VoiceLeading ear;
    private final double changeWeight;
    private final double lateWeight;
    private final Map<ChordSymbol, Numbering> numberings = new HashMap<>();
    private final Map<List<ChordSymbol>, Prices> prices = new HashMap<>();

    GripChanges(ChangeModel hand, VoiceLeading ear, Parameters parameters) {
        this.hand = hand;
        this.ear = ear;
        this.changeWeight = parameters.get("route.change");
        this.lateWeight = parameters.get("late");
    }

    /** What a change costs that needs more time than there is. */
    double late(double neededSeconds, double availableSeconds) {
        return lateWeight * Math.max(0, neededSeconds - availableSeconds);
    }

    /** Numbers by which {@link Prices} knows grips of a chord; the same grip keeps its number. */
    int[] numbers(ChordSymbol chord, List<RatedGrip> grips) {
        Numbering numbering = numberings.computeIfAbsent(chord, c -> new Numbering());
        return grips.stream().mapToInt(g -> numbering.of(g.grip())).toArray();
    }

    /** Prices of the changes between two chords' grips; both were numbered before. */
    Prices between(ChordSymbol from, ChordSymbol to) {
        return prices.computeIfAbsent(List.of(from, to), pair -> new Prices(numberings.get(from), numberings.get(to)));
    }

    /** The grips of a chord in the order in which they were first met. */
    private final class Numbering {
        private final Map<Grip, Integer> numbers = new HashMap<>();
        private final List<Grip> grips = new ArrayList<>();
        private final List<VoiceLeading.Voices> voices = new ArrayList<>();

        int of(Grip grip) {
            return numbers.computeIfAbsent(grip, g -> {
                grips.add(g);
                voices.add(ear.voices(g));
                return grips.size() - 1;
            });
        }
    }

    /** Effort and seconds of the changes between two chords' grips, by number; priced when first asked for. */
    final class Prices {
        private static final float[] NONE = new float[0];

        private final Numbering from;
        private final Numbering to;

        /** By grip left: effort and seconds of the change to each grip reached, side by side; NaN where not yet priced. */
        private float[][] known = new float[0][];

        private Prices(Numbering from, Numbering to) {
            this.from = from;
            this.to = to;
        }

        /** What a change costs with so many seconds for it. */
        double cost(int left, int reached, double availableSeconds) {
            float[] row = left < known.length ? known[left] : NONE;
            int at = 2 * reached;
            if (at >= row.length || Float.isNaN(row[at])) {
                row = priced(left, reached);
            }
            return row[at] + late(row[at + 1], availableSeconds);
        }

        private float[] priced(int left, int reached) {
            float[] row = row(left);
            ChangeModel.Cost cost = hand.cost(from.grips.get(left), to.grips.get(reached));
            row[2 * reached] =
                    (float) (changeWeight * cost.effort() + ear.effort(from.voices.get(left), to.voices.get(reached)));
            row[2 * reached + 1] = (float) cost.seconds();
            return row;
        }

        /** The row of a grip left, long enough for every grip numbered so far. */
        private float[] row(int left) {
            if (left >= known.length) {
                int rows = known.length;
                known = Arrays.copyOf(known, from.grips.size());
                Arrays.fill(known, rows, known.length, NONE);
            }
            int priced = known[left].length;
            if (priced < 2 * to.grips.size()) {
                known[left] = Arrays.copyOf(known[left], 2 * to.grips.size());
                Arrays.fill(known[left], priced, known[left].length, Float.NaN);
            }
            return known[left];
        }
    }
}
