package underhand.harmony;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import underhand.chart.Chart;
import underhand.chord.ChordSymbol;
import underhand.pitch.Interval;
import underhand.pitch.Key;
import underhand.pitch.Mode;

/**
 * Finds the key of a row of chords by scoring all 24: how many of their tones the scale holds, weighed by how long they
 * last; whether the first and the last chord are the tonic; and cadences, V to I, ii to V to I, and IV to I. Weights are common
 * practice put into numbers. A minor key's scale includes the raised seventh of its dominant.
 */
public final class KeyFinder {

    private static final double IN_SCALE = 1.0;
    private static final double RAISED_SEVENTH = 0.8;
    private static final double OUTSIDE = -2;
    private static final double TONIC_CHORD = 0.6;
    private static final double FIRST = 1.2;
    private static final double LAST = 1.4;
    private static final double CADENCE = 0.8;
    private static final double PLAGAL = 0.3;

    /** A second degree in minor that leads to the dominant and home says more than where a loop begins or ends. */
    private static final double TWO_FIVE_ONE = 2.4;

    private static final Interval MINOR_THIRD = Interval.parse("m3");
    private static final Interval MAJOR_THIRD = Interval.parse("M3");

    /** A chord and how many beats it lasts. */
    public record Weighted(ChordSymbol chord, double beats) {}

    /** A key and its score; higher fits better. */
    public record Scored(Key key, double score) {}

    private KeyFinder() {}

    /** All 24 keys, the best first; of equal scores the one with fewer accidentals, then major. */
    public static List<Scored> rank(List<Weighted> chords) {
        List<Heard> heard = chords.stream().map(Heard::of).toList();
        List<Scored> scored = new ArrayList<>();
        for (int tonic = 0; tonic < 12; tonic++) {
            for (Mode mode : Mode.values()) {
                scored.add(new Scored(Key.on(tonic, mode), score(heard, tonic, mode)));
            }
        }
        scored.sort(Comparator.comparingDouble((Scored s) -> -s.score())
                .thenComparingInt(s -> Math.abs(s.key().fifths()))
                .thenComparing(s -> s.key().mode()));
        return scored;
    }

    /** The best key; C major for no chords at all. */
    public static Key find(List<Weighted> chords) {
        return rank(chords).get(0).key();
    }

    /** The key a chart states, or the best one for its chords; where it has none, that of its tune. */
    public static Key keyOf(Chart chart) {
        return chart.key().orElseGet(() -> {
            List<Weighted> chords = chart.placements().stream()
                    .map(Chart.Slot::placement)
                    .filter(p -> p.chord().isPresent())
                    .map(p -> new Weighted(p.chord().get(), p.beats()))
                    .toList();
            Optional<Key> sung = chords.isEmpty() ? TuneKey.of(chart) : Optional.empty();
            return sung.orElseGet(() -> find(chords));
        });
    }

    /**
     * What of a chord tells its key.
     *
     * @param tones pitch classes
     * @param minorThird whether it has one
     * @param majorThird whether it has one
     * @param noThird whether it has none
     */
    private record Heard(int root, int[] tones, boolean minorThird, boolean majorThird, boolean noThird, double beats) {

        static Heard of(Weighted weighted) {
            ChordSymbol chord = weighted.chord();
            return new Heard(
                    chord.root().pitchClass(),
                    chord.tones().stream().mapToInt(t -> t.note().pitchClass()).toArray(),
                    chord.type().hasInterval(MINOR_THIRD),
                    chord.type().hasInterval(MAJOR_THIRD),
                    !chord.type().has(3),
                    weighted.beats());
        }

        boolean isTonic(int tonic, Mode mode) {
            return root == tonic && minorThird == (mode == Mode.MINOR) && (minorThird || majorThird || noThird);
        }
    }

    private static double score(List<Heard> chords, int tonic, Mode mode) {
        if (chords.isEmpty()) {
            return 0;
        }
        double[] byTone = new double[12];
        for (int above = 0; above < byTone.length; above++) {
            byTone[above] = toneScore(above, mode);
        }
        double beats = chords.stream().mapToDouble(Heard::beats).sum();
        double score = 0;
        for (Heard chord : chords) {
            double share = chord.beats() / beats * Math.sqrt(chords.size());
            score += share * (tones(chord, tonic, byTone) + (chord.isTonic(tonic, mode) ? TONIC_CHORD : 0));
        }
        score += chords.get(0).isTonic(tonic, mode) ? FIRST : 0;
        score += chords.get(chords.size() - 1).isTonic(tonic, mode) ? LAST : 0;
        return score + cadences(chords, tonic, mode) / Math.sqrt(chords.size());
    }

    private static double tones(Heard chord, int tonic, double[] byTone) {
        double sum = 0;
        for (int tone : chord.tones()) {
            sum += byTone[Math.floorMod(tone - tonic, 12)];
        }
        return sum / chord.tones().length;
    }

    private static double toneScore(int aboveTonic, Mode mode) {
        if (mode.degreeOf(aboveTonic) > 0) {
            return IN_SCALE;
        }
        return mode == Mode.MINOR && aboveTonic == 11 ? RAISED_SEVENTH : OUTSIDE;
    }

    private static double cadences(List<Heard> chords, int tonic, Mode mode) {
        double score = 0;
        for (int i = 1; i < chords.size(); i++) {
            Heard before = chords.get(i - 1);
            if (chords.get(i).isTonic(tonic, mode)) {
                int degree = Math.floorMod(before.root() - tonic, 12);
                boolean dominant = degree == 7 && before.majorThird();
                score += dominant ? CADENCE : degree == 5 ? PLAGAL : 0;
                boolean second = i > 1
                        && chords.get(i - 2).minorThird()
                        && Math.floorMod(chords.get(i - 2).root() - tonic, 12) == 2;
                score += dominant && second ? TWO_FIVE_ONE : 0;
            }
        }
        return score;
    }
}
