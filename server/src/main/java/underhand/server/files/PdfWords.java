package underhand.server.files;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import underhand.chart.Chart;

/** Draws words that have no chords: the name of their part, then their lines, wrapped at the page's edge. */
final class PdfWords {

    private static final float HEADING = 12;
    private static final float SIZE = 11.5f;
    private static final float LINE = 15;
    private static final float AFTER = 10;

    private PdfWords() {}

    static void write(PdfCanvas page, List<Chart.Words> words) throws IOException {
        for (Chart.Words spoken : words) {
            if (spoken.heading().isPresent()) {
                page.need(HEADING * 2 + LINE);
                page.text(page.bold, HEADING, 0, 16, spoken.heading().get());
                page.down(24);
            }
            for (String line : spoken.lines()) {
                for (String piece : wrapped(page, line)) {
                    page.need(LINE);
                    page.text(page.plain, SIZE, 0, SIZE, piece);
                    page.down(LINE);
                }
            }
            page.down(AFTER);
        }
    }

    private static List<String> wrapped(PdfCanvas page, String line) throws IOException {
        List<String> pieces = new ArrayList<>();
        String piece = "";
        for (String word : line.split(" ")) {
            String longer = piece.isEmpty() ? word : piece + " " + word;
            if (!piece.isEmpty() && PdfCanvas.widthOf(page.plain, SIZE, longer) > page.width()) {
                pieces.add(piece);
                longer = word;
            }
            piece = longer;
        }
        pieces.add(piece);
        return pieces;
    }
}
