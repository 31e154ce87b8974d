package underhand.format.text;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import underhand.chart.Bar;
import underhand.chart.Placement;
import underhand.chart.TuneNote;
import underhand.pitch.Pitch;

/** The tune of a bar as text: equal shares of it, as coarse as its notes allow. */
final class TuneCells {

    /** Shares of a beat: halves, quarters, thirds, and what both divide. */
    private static final int[] SHARES = {1, 2, 3, 4, 6, 8, 12, 24};

    private static final double SAME = 1e-3;

    /**
     * A note within a bar.
     *
     * @param from beats after the bar's start
     * @param until the same of its end
     * @param tied whether it sounded before the bar and is held
     */
    record Sung(double from, double until, Pitch pitch, boolean tied) {

        Sung to(double end) {
            return new Sung(from, end, pitch, tied);
        }
    }

    private TuneCells() {}

    static double length(Bar bar) {
        return bar.placements().stream().mapToDouble(Placement::beats).sum();
    }

    /** The notes of a bar; what a change of chord cut in two is one of them. */
    static List<Sung> notes(Bar bar) {
        double start = bar.placements().get(0).beat();
        List<Sung> notes = new ArrayList<>();
        for (Placement placement : bar.placements()) {
            for (TuneNote note : placement.tune()) {
                double from = placement.beat() - start + note.from();
                int last = notes.size() - 1;
                if (note.tied() && last >= 0) {
                    notes.set(last, notes.get(last).to(from + note.beats()));
                } else {
                    notes.add(new Sung(from, from + note.beats(), note.pitch(), note.tied()));
                }
            }
        }
        return notes;
    }

    static String of(Bar bar) {
        return of(length(bar), notes(bar));
    }

    /** @param length of the bar, in beats */
    static String of(double length, List<Sung> notes) {
        int share = 1;
        for (int candidate : SHARES) {
            share = candidate;
            int each = candidate;
            boolean fits = notes.stream().allMatch(n -> isWhole(n.from() * each) && isWhole(n.until() * each));
            if (fits && isWhole(length * each)) {
                break;
            }
        }
        String[] cells = new String[Math.max(1, (int) Math.round(length * share))];
        Arrays.fill(cells, "-");
        for (Sung note : notes) {
            int from = (int) Math.round(note.from() * share);
            int until = Math.min(cells.length, (int) Math.round(note.until() * share));
            for (int cell = from; cell < until; cell++) {
                boolean held = cell > from || cell == 0 && note.tied();
                cells[cell] = held ? "." : note.pitch().toString();
            }
        }
        return String.join(" ", cells);
    }

    private static boolean isWhole(double value) {
        return Math.abs(value - Math.rint(value)) < SAME;
    }
}
