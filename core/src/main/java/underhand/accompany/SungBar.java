package underhand.accompany;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import underhand.chart.Bar;
import underhand.chart.Chart;
import underhand.chart.Placement;
import underhand.chart.Section;
import underhand.chart.TuneNote;
import underhand.chord.ChordSymbol;

/**
 * A bar as its tune is heard: what is sung, and how much each note counts.
 *
 * @param number from 1
 * @param upbeat whether it is a pick-up: no bar of its own
 * @param chords that stand in it already
 */
record SungBar(int number, String section, boolean upbeat, List<ChordSymbol> chords, List<Heard> notes) {

    private static final double SAME = 1e-6;

    /** A note on the first beat counts whole; on the bar's other strong beats, on beats, and between them so much. */
    private static final double STRONG = 0.85;

    private static final double BEAT = 0.65;
    private static final double BETWEEN = 0.4;

    /**
     * A note.
     *
     * @param weight beats it lasts by how much its place counts
     * @param passing whether it is come to and left by step, not on the first beat: it need not belong to the chord
     */
    record Heard(int pitchClass, double weight, boolean passing) {}

    /** A note with its place in its bar, counted from 0. */
    private record Sung(int bar, double at, double beats, int midi) {}

    /** All bars of a chart. */
    static List<SungBar> of(Chart chart) {
        List<SungBar> bars = new ArrayList<>();
        List<Sung> tune = tune(chart);
        int next = 0;
        for (Section section : chart.sections()) {
            for (Bar bar : section.bars()) {
                int number = bars.size() + 1;
                List<Heard> notes = new ArrayList<>();
                for (; next < tune.size() && tune.get(next).bar() == number; next++) {
                    notes.add(heard(tune, next, bar));
                }
                double length =
                        bar.placements().stream().mapToDouble(Placement::beats).sum();
                bars.add(new SungBar(
                        number,
                        section.name(),
                        number == 1 && length < bar.metre().beats() - SAME,
                        bar.placements().stream()
                                .map(Placement::chord)
                                .flatMap(Optional::stream)
                                .toList(),
                        notes));
            }
        }
        return bars;
    }

    private static List<Sung> tune(Chart chart) {
        List<Sung> tune = new ArrayList<>();
        int number = 0;
        for (Section section : chart.sections()) {
            for (Bar bar : section.bars()) {
                number++;
                for (Placement placement : bar.placements()) {
                    for (TuneNote note : placement.tune()) {
                        double at = placement.beat() - 1 + note.from();
                        tune.add(new Sung(number, at, note.beats(), note.pitch().midi()));
                    }
                }
            }
        }
        return tune;
    }

    private static Heard heard(List<Sung> tune, int at, Bar bar) {
        Sung note = tune.get(at);
        double accent = accent(note.at(), bar);
        boolean steps =
                at > 0 && at + 1 < tune.size() && isStep(tune.get(at - 1), note) && isStep(note, tune.get(at + 1));
        return new Heard(Math.floorMod(note.midi(), 12), note.beats() * accent, steps && accent < 1);
    }

    /** A note that is sung again passes nowhere. */
    private static boolean isStep(Sung one, Sung other) {
        int far = Math.abs(one.midi() - other.midi());
        return far == 1 || far == 2;
    }

    /** Beats of an x/8 metre go in threes; four and more beats have a second strong one in their middle. */
    private static double accent(double at, Bar bar) {
        int beats = bar.metre().beats();
        boolean inThrees = bar.metre().unit() >= 8 && beats % 3 == 0;
        double beat = inThrees ? at / 3 : at;
        double count = inThrees ? beats / 3.0 : beats;
        if (at < SAME) {
            return 1;
        }
        if (Math.abs(beat - Math.rint(beat)) > SAME) {
            return BETWEEN;
        }
        boolean middle = count % 2 == 0 && Math.abs(beat - count / 2) < SAME;
        return middle ? STRONG : BEAT;
    }

    /** Whether chords are to be found for it: nothing stands in it, and it is no pick-up. */
    boolean isFree() {
        return chords.isEmpty() && !upbeat;
    }

    double weight() {
        return notes.stream().mapToDouble(Heard::weight).sum();
    }
}
