package underhand.server.files;

import java.io.IOException;
import underhand.format.engrave.Engraving;
import underhand.format.score.ScoredPart;
import underhand.server.engraving.Type;

/** A part as rows of bars, staff over tab, with the headings and words that stand between them. */
final class PdfScore {

    private PdfScore() {}

    /** @param writtenOut whether strums have all their notes, and bars like the one before theirs */
    static void add(PdfCanvas page, PdfFlow flow, ScoredPart scored, boolean writtenOut) throws IOException {
        PdfHeadings headings = new PdfHeadings(flow, scored);
        for (Engraving.Row row : Engraving.rows(scored, writtenOut, page.width(), Type.FACES)) {
            PdfWords.add(page, flow, scored.wordsBefore(row.bar()));
            headings.add(row.bar());
            flow.row(row.height(), at -> row.draw(new PdfInk(at)));
        }
        PdfWords.add(page, flow, scored.wordsAfter());
    }
}
