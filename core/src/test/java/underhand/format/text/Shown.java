package underhand.format.text;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import underhand.chart.Bar;
import underhand.chart.Chart;
import underhand.chart.Metre;
import underhand.chart.Placement;
import underhand.chart.Section;

/** A reading as lines of text, so that what a chart must give can be written beside it. */
final class Shown {

    private Shown() {}

    /** Headers, then bars by section with the words without chords between them, then what is not sure. */
    static List<String> of(ChartReading reading) {
        Chart chart = reading.chart();
        List<String> lines = new ArrayList<>();
        if (!chart.title().isEmpty()) {
            lines.add("title: " + chart.title());
        }
        chart.key().ifPresent(k -> lines.add("key: " + k));
        if (!chart.metre().equals(Metre.COMMON)) {
            lines.add("metre: " + chart.metre());
        }
        chart.tempo().ifPresent(t -> lines.add("tempo: " + t));
        chart.capo().ifPresent(c -> lines.add("capo: " + c));
        chart.tuning().ifPresent(t -> lines.add("tuning: " + t));
        int bars = 0;
        int spoken = 0;
        for (Section section : chart.sections()) {
            String line = "[" + section.name() + "]";
            for (Bar bar : section.bars()) {
                for (;
                        spoken < chart.words().size()
                                && chart.words().get(spoken).bar() <= bars;
                        spoken++) {
                    if (!line.isEmpty() && bar != section.bars().get(0)) {
                        lines.add(line);
                        line = "   ";
                    }
                    lines.add(words(chart.words().get(spoken)));
                }
                line += " | " + bar(bar, chart.metre());
                bars++;
            }
            lines.add(line);
        }
        chart.words().subList(spoken, chart.words().size()).forEach(w -> lines.add(words(w)));
        reading.faults().forEach(f -> lines.add(fault(f)));
        return lines;
    }

    private static String words(Chart.Words words) {
        return "> " + words.heading().map(h -> h + ": ").orElse("") + String.join(" / ", words.lines());
    }

    private static String bar(Bar bar, Metre usual) {
        String metre = bar.metre().equals(usual) ? "" : bar.metre() + " ";
        return metre + bar.placements().stream().map(Shown::placement).collect(Collectors.joining(" "));
    }

    private static String placement(Placement placement) {
        String chord = placement.chord().map(Object::toString).orElse("-");
        String beats = number(placement.beats());
        String lyric = placement.lyric().isEmpty() ? "" : " '" + placement.lyric() + "'";
        return chord + ":" + beats + lyric + tune(placement);
    }

    private static String tune(Placement placement) {
        return placement.tune().stream()
                .map(n -> (n.tied() ? " ~_" : " ~") + n.pitch() + ":" + number(n.beats()))
                .collect(Collectors.joining());
    }

    private static String number(double value) {
        return String.format(Locale.ROOT, "%.2f", value).replaceAll("\\.?0+$", "");
    }

    private static String fault(Fault fault) {
        String sign = switch (fault.kind()) {
            case UNREAD -> "!";
            case UNSURE -> "?";
            case TOLD -> ".";
        };
        String mends = fault.mends().stream().map(Fault.Mend::label).collect(Collectors.joining(", "));
        return sign + " " + fault.line() + ":" + fault.column() + " " + fault.input()
                + (mends.isEmpty() ? "" : " -> " + mends);
    }
}
