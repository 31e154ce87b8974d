package underhand.format.text;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.LinkedList;
import java.util.List;
import java.util.Optional;
import java.util.StringJoiner;
import underhand.chart.Bar;
import underhand.chart.Chart;
import underhand.chart.Metre;
import underhand.chart.Placement;
import underhand.chart.Section;
import underhand.pitch.Key;

/**
 * Writes a chart as text that {@link ChartTextReader} reads back the same: headers, sections, bars in their lines with their
 * words under them, and the tune. Repeats are written out. Names and words come from files of any origin: what would be read
 * as chords, a section or a header is written so that it is not.
 */
public final class ChartTextWriter {

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
        chart.sections().stream()
                .flatMap(s -> s.bars().stream())
                .findFirst()
                .filter(bar -> !isFull(bar))
                .ifPresent(bar -> header("pickup", number(length(bar))));
        LinkedList<Chart.Words> words = new LinkedList<>(chart.words());
        int bars = 0;
        for (Section section : chart.sections()) {
            section(section, bars, words);
            bars += section.bars().size();
        }
        words.forEach(this::words);
        return text.toString();
    }

    private void header(String name, String value) {
        text.append(name).append(": ").append(value).append('\n');
    }

    private static String number(double value) {
        return BigDecimal.valueOf(value)
                .setScale(6, RoundingMode.HALF_UP)
                .stripTrailingZeros()
                .toPlainString();
    }

    private void section(Section section, int from, LinkedList<Chart.Words> words) {
        // Words of another part stand before the section; those of its own after its name.
        int others = 0;
        for (int i = 0; i < words.size() && words.get(i).bar() <= from; i++) {
            others = words.get(i).heading().isPresent() ? i + 1 : others;
        }
        for (; others > 0; others--) {
            words(words.removeFirst());
        }
        text.append('\n');
        if (section.key().isPresent() && !section.key().equals(key)) {
            key = section.key();
            header("key", section.key().get().toString());
        }
        ChartNames.section(section.name()).ifPresent(name -> text.append(name).append('\n'));
        List<Bar> line = new ArrayList<>();
        for (int i = 0; i < section.bars().size(); i++) {
            Bar bar = section.bars().get(i);
            boolean spoken = !words.isEmpty() && words.getFirst().bar() <= from + i;
            if (!line.isEmpty()
                    && (spoken
                            || bar.newLine()
                            || !bar.metre().equals(line.get(0).metre()))) {
                line(line);
                line = new ArrayList<>();
            }
            while (!words.isEmpty() && words.getFirst().bar() <= from + i) {
                words(words.removeFirst());
            }
            line.add(bar);
        }
        if (!line.isEmpty()) {
            line(line);
        }
    }

    /** Words without chords; what would be read as something else is marked as a remark. */
    private void words(Chart.Words words) {
        text.append('\n');
        words.heading()
                .flatMap(ChartNames::section)
                .ifPresent(name -> text.append(name).append('\n'));
        for (String line : words.lines()) {
            String plain = ChartNames.lyric(line).strip();
            boolean title = words.bar() == 0 && words.heading().isEmpty();
            boolean safe = !title && ChartTextReader.isWords(plain) && !plain.startsWith(LineReader.SUNG_MARK.strip());
            text.append(safe ? plain : "{comment: " + plain + "}").append('\n');
        }
        text.append(words.heading().isEmpty() ? "\n" : "");
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
        boolean marked = !words.isEmpty() && !ChartTextReader.isWords(words.toString());
        String indent = marked ? " ".repeat(LineReader.SUNG_MARK.length()) : "";
        text.append(indent).append(chords).append('\n');
        if (!words.isEmpty()) {
            text.append(marked ? LineReader.SUNG_MARK : "").append(words).append('\n');
        }
        if (bars.stream()
                .flatMap(b -> b.placements().stream())
                .anyMatch(p -> !p.tune().isEmpty())) {
            StringJoiner tune = new StringJoiner(" | ", "tune: ", " |");
            bars.forEach(bar -> tune.add(TuneCells.of(bar)));
            text.append(tune).append('\n');
        }
    }

    private static double length(Bar bar) {
        return bar.placements().stream().mapToDouble(Placement::beats).sum();
    }

    private static boolean isFull(Bar bar) {
        return Math.abs(length(bar) - bar.metre().beats()) < SAME;
    }

    /**
     * Beats of the share a bar is drawn in: the longest that every chord lasts a whole number of; 0 where the chords share
     * the bar evenly and nothing has to be drawn.
     */
    private static double drawnShare(Bar bar) {
        double sum = length(bar);
        double first = bar.placements().get(0).beats();
        if (bar.placements().stream().allMatch(p -> Math.abs(p.beats() - first) < SAME)) {
            return 0;
        }
        for (int cells = bar.placements().size(); cells <= MOST_CELLS; cells++) {
            double share = sum / cells;
            if (bar.placements().stream().allMatch(p -> isWhole(p.beats() / share))) {
                return share;
            }
        }
        return 1;
    }

    private static boolean isWhole(double value) {
        return Math.abs(value - Math.rint(value)) < SAME;
    }
}
