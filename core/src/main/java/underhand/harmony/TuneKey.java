package underhand.harmony;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.hipparchus.stat.correlation.PearsonsCorrelation;
import underhand.chart.Chart;
import underhand.chart.TuneNote;
import underhand.pitch.Key;
import underhand.pitch.Mode;
import underhand.table.Table;

/**
 * The key of a tune: the one whose profile goes along best with how long each tone is sung, {@code key-profiles.csv} (the
 * algorithm of Krumhansl and Schmuckler; Krumhansl, Cognitive Foundations of Musical Pitch, 1990). Plain tunes end at home, so
 * the last note is asked too.
 */
final class TuneKey {

    /** A last note on the tonic is worth so much correlation, one on another tone of its chord so much. */
    private static final double ENDS_AT_HOME = 0.25;

    private static final double ENDS_ON_ITS_CHORD = 0.08;

    private record Profile(Mode mode, double[] ratings) {}

    private static final List<Profile> PROFILES = Table.read(
            TuneKey.class,
            "key-profiles.csv",
            13,
            row -> new Profile(
                    Mode.valueOf(row.cell(0)),
                    row.cells().subList(1, 13).stream()
                            .mapToDouble(Double::parseDouble)
                            .toArray()));

    private record Scored(Key key, double score) {}

    private TuneKey() {}

    /** The key of a chart's tune; empty where it has none. */
    static Optional<Key> of(Chart chart) {
        List<TuneNote> notes = chart.placements().stream()
                .flatMap(slot -> slot.placement().tune().stream())
                .toList();
        if (notes.isEmpty()) {
            return Optional.empty();
        }
        double[] beats = new double[12];
        notes.forEach(note -> beats[note.pitch().pitchClass()] += note.beats());
        return Optional.of(find(beats, notes.get(notes.size() - 1).pitch().pitchClass()));
    }

    /**
     * @param beats how long each pitch class is sung, from C up
     * @param last pitch class the tune ends on
     */
    private static Key find(double[] beats, int last) {
        List<Scored> scored = new ArrayList<>();
        for (int tonic = 0; tonic < 12; tonic++) {
            for (Profile profile : PROFILES) {
                double[] fromTonic = new double[12];
                for (int above = 0; above < 12; above++) {
                    fromTonic[above] = beats[(tonic + above) % 12];
                }
                scored.add(new Scored(
                        Key.on(tonic, profile.mode()),
                        correlation(fromTonic, profile.ratings())
                                + end(Math.floorMod(last - tonic, 12), profile.mode())));
            }
        }
        return scored.stream()
                .max(Comparator.comparingDouble(Scored::score)
                        .thenComparingInt(s -> -Math.abs(s.key().fifths())))
                .orElseThrow()
                .key();
    }

    /** 0 where all tones are sung alike: nothing goes along with anything. */
    private static double correlation(double[] beats, double[] ratings) {
        boolean flat = Arrays.stream(beats).distinct().count() == 1;
        return flat ? 0 : new PearsonsCorrelation().correlation(beats, ratings);
    }

    private static double end(int above, Mode mode) {
        if (above == 0) {
            return ENDS_AT_HOME;
        }
        return mode.degreeOf(above) == 3 || mode.degreeOf(above) == 5 ? ENDS_ON_ITS_CHORD : 0;
    }
}
