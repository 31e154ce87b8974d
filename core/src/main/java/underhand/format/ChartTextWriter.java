package underhand.format;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.StringJoiner;
import underhand.chart.Bar;
import underhand.chart.Chart;
import underhand.chart.Metre;
import underhand.chart.Placement;
import underhand.chart.Section;
import underhand.chart.TuneNote;
import underhand.pitch.Key;

/**
 * Writes a chart as text that {@link ChartTextReader} reads back the same: headers, sections, four bars a line with their
 * words under them, and the tune. Repeats are written out. Names and words come from files of any origin: what would be read
 * as chords, a section or a header is written so that it is not.
 */
public final class ChartTextWriter {

    private static final int BARS_A_LINE = 4;

    /** Shares of a beat in which a tune is written: halves, quarters, thirds, and what both divide. */
    private static final int[] SHARES = {1, 2, 3, 4, 6, 8, 12, 24};

    private static final int MOST_CELLS = 96;
    private static final double SAME = 1e-3;

    private final StringBuilder text = new StringBuilder();
    private Metre metre;
    private Optional<Key> key;

    private ChartTextWriter(Chart chart) {
        this.metre = chart.metre();
        this.key = chart.key();
    }

    public static String write(Chart chart) {
        return new ChartTextWriter(chart).whole(chart);
    }

    private String whole(Chart chart) {
        if (!chart.title().isBlank()) {
            header("title", ChartNames.plain(chart.title()));
        }
        chart.key().ifPresent(k -> header("key", k.toString()));
        chart.tempo().ifPresent(t -> header("tempo", Integer.toString(t)));
        header("metre", chart.metre().toString());
        chart.capo().ifPresent(c -> header("capo", Integer.toString(c)));
        chart.tuning().ifPresent(t -> header("tuning", t));
        chart.sections().forEach(this::section);
        return text.toString();
    }

    private void header(String name, String value) {
        text.append(name).append(": ").append(value).append('\n');
    }

    private void section(Section section) {
        text.append('\n');
        if (section.key().isPresent() && !section.key().equals(key)) {
            key = section.key();
            header("key", section.key().get().toString());
        }
        ChartNames.section(section.name())
                .ifPresent(name -> text.append('[').append(name).append("]\n"));
        List<Bar> line = new ArrayList<>();
        for (Bar bar : section.bars()) {
            if (!line.isEmpty()
                    && (line.size() == BARS_A_LINE
                            || !bar.metre().equals(line.get(0).metre()))) {
                line(line);
                line = new ArrayList<>();
            }
            line.add(bar);
        }
        if (!line.isEmpty()) {
            line(line);
        }
    }

    private void line(List<Bar> bars) {
        if (!bars.get(0).metre().equals(metre)) {
            metre = bars.get(0).metre();
            header("metre", metre.toString());
        }
        StringBuilder chords = new StringBuilder("|");
        StringBuilder words = new StringBuilder();
        for (Bar bar : bars) {
            double share = drawnShare(bar);
            for (Placement placement : bar.placements()) {
                String lyric = ChartNames.lyric(placement.lyric());
                chords.append(' ');
                while (chords.length() < words.length() + (lyric.isBlank() ? 0 : 1)) {
                    chords.append(' ');
                }
                if (!lyric.isBlank()) {
                    words.append(" ".repeat(chords.length() - words.length())).append(lyric);
                }
                chords.append(placement.chord().map(Object::toString).orElse("N.C."));
                if (share > 0) {
                    chords.append(" .".repeat(Math.max(0, (int) Math.round(placement.beats() / share) - 1)));
                }
            }
            chords.append(" |");
        }
        text.append(chords).append('\n');
        if (!words.isEmpty()) {
            text.append(ChartNames.words(words.toString())).append('\n');
        }
        if (bars.stream()
                .flatMap(b -> b.placements().stream())
                .anyMatch(p -> !p.tune().isEmpty())) {
            StringJoiner tune = new StringJoiner(" | ", "tune: ", " |");
            bars.forEach(bar -> tune.add(tune(bar)));
            text.append(tune).append('\n');
        }
    }

    /**
     * Beats of the share a bar is drawn in: the longest that every chord lasts a whole number of; 0 where the chords share
     * the bar evenly and nothing has to be drawn.
     */
    private static double drawnShare(Bar bar) {
        double sum = bar.placements().stream().mapToDouble(Placement::beats).sum();
        double first = bar.placements().get(0).beats();
        boolean even = bar.placements().stream().allMatch(p -> Math.abs(p.beats() - first) < SAME);
        boolean full = Math.abs(sum - bar.metre().beats()) < SAME;
        if (even && full) {
            return 0;
        }
        // A pick-up is told by its drawn beats.
        for (int cells = full ? bar.placements().size() : (int) Math.round(sum); cells <= MOST_CELLS; cells++) {
            double share = sum / cells;
            if (bar.placements().stream().allMatch(p -> isWhole(p.beats() / share))) {
                return share;
            }
        }
        return 1;
    }

    /** The tune of a bar in equal shares, as coarse as its notes allow. */
    private static String tune(Bar bar) {
        record Sung(double from, double until, TuneNote note) {}
        double start = bar.placements().get(0).beat();
        List<Sung> notes = new ArrayList<>();
        for (Placement placement : bar.placements()) {
            for (TuneNote note : placement.tune()) {
                double from = placement.beat() - start + note.from();
                int last = notes.size() - 1;
                // What a change of chord cut in two is one note of the tune.
                boolean held = last >= 0
                        && note.from() < SAME
                        && notes.get(last).note().pitch().equals(note.pitch())
                        && Math.abs(notes.get(last).until() - from) < SAME;
                if (held) {
                    notes.set(last, new Sung(notes.get(last).from(), from + note.beats(), note));
                } else {
                    notes.add(new Sung(from, from + note.beats(), note));
                }
            }
        }
        double length = bar.placements().stream().mapToDouble(Placement::beats).sum();
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
                cells[cell] = cell == from ? note.note().pitch().toString() : ".";
            }
        }
        return String.join(" ", cells);
    }

    private static boolean isWhole(double value) {
        return Math.abs(value - Math.rint(value)) < SAME;
    }
}
