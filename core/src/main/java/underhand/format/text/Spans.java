package underhand.format.text;

import java.util.ArrayList;
import java.util.List;
import underhand.format.text.ChartReading.Span;

/** What the text of a chart is made of, for whoever shows it in colour. */
final class Spans {

    private final List<Span> spans = new ArrayList<>();

    private Spans() {}

    static List<Span> of(List<Line> lines) {
        Spans spans = new Spans();
        lines.forEach(spans::line);
        return spans.spans;
    }

    private void line(Line line) {
        SourceLine source = line.source();
        int indent = source.indent();
        int end = source.text().stripTrailing().length();
        switch (line.kind()) {
            case HEADER -> add(source, indent, end, Span.Kind.HEADER);
            case HEADING, PART_END -> add(source, indent, end, Span.Kind.HEADING);
            case TUNE, TAB, DIRECTION, COMMENT, EXTRA -> add(source, indent, end, Span.Kind.ASIDE);
            default -> line.heading().ifPresent(heading -> add(source, indent, heading.end(), Span.Kind.HEADING));
        }
        for (Piece piece : line.pieces()) {
            switch (piece.kind()) {
                case CHORD -> add(source, piece.at(), piece.end(), Span.Kind.CHORD);
                case WORDS, ODD, UNREAD -> {
                    // Words have no colour, and faults have one of their own.
                }
                default -> add(source, piece.at(), piece.end(), Span.Kind.SIGN);
            }
        }
    }

    private void add(SourceLine line, int from, int to, Span.Kind kind) {
        int column = line.column(from);
        int length = line.column(to) - column;
        if (length > 0) {
            spans.add(new Span(line.number(), column, length, kind));
        }
    }
}
