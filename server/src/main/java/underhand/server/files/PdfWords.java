package underhand.server.files;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import underhand.chart.Chart;
import underhand.format.engrave.Lettering.Face;

/** Words that have no chords: the name of their part, then their lines, wrapped at the page's edge. */
final class PdfWords {

    private static final float HEADING = 12;
    private static final float SIZE = 11.5f;
    private static final float LINE = 15;
    private static final float AFTER = 10;

    private PdfWords() {}

    static void add(PdfCanvas page, PdfFlow flow, List<Chart.Words> words) throws IOException {
        for (Chart.Words spoken : words) {
            if (spoken.heading().isPresent()) {
                flow.section();
                flow.heading(
                        HEADING * 2,
                        at -> at.text(
                                Face.BOLD, HEADING, 0, 16, spoken.heading().get()));
            }
            List<String> pieces = new ArrayList<>();
            for (String line : spoken.lines()) {
                pieces.addAll(PdfType.wrapped(Face.PLAIN, SIZE, page.width(), line));
            }
            for (int i = 0; i < pieces.size(); i++) {
                String piece = pieces.get(i);
                flow.row(i + 1 < pieces.size() ? LINE : LINE + AFTER, at -> at.text(Face.PLAIN, SIZE, 0, SIZE, piece));
            }
        }
    }
}
