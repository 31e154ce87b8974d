package underhand.format.text;

import java.util.List;
import java.util.OptionalInt;
import underhand.chart.Bar;
import underhand.chart.Chart;

/**
 * A chart as far as it could be read.
 *
 * @param faults what was not understood or can be read otherwise, in the order of the text
 * @param spans what its text is made of, in the order of the text
 * @param lines its lines of chords, in the order of the text
 */
public record ChartReading(Chart chart, List<Fault> faults, List<Span> spans, List<ChordLine> lines) {

    /**
     * A line of chords with what belongs to it.
     *
     * @param line from 1
     * @param lastLine of it and the words that are sung to it
     * @param tuneLine with the tune over it
     * @param bars what a tune over it goes over, repeats written out
     */
    public record ChordLine(int line, int lastLine, OptionalInt tuneLine, List<Bar> bars) {

        public ChordLine {
            bars = List.copyOf(bars);
        }
    }

    /**
     * A stretch of a line and what it was read as.
     *
     * @param line from 1
     * @param column from 1
     * @param length in characters
     */
    public record Span(int line, int column, int length, Kind kind) {

        public enum Kind {
            HEADER,
            HEADING,
            CHORD,
            SIGN,
            ASIDE
        }
    }

    public ChartReading {
        faults = List.copyOf(faults);
        spans = List.copyOf(spans);
        lines = List.copyOf(lines);
    }

    /** Places that were not understood, or can be read otherwise. */
    public int unsure() {
        return (int) faults.stream().filter(f -> f.kind() != Fault.Kind.TOLD).count();
    }
}
