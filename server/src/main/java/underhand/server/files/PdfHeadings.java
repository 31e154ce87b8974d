package underhand.server.files;

import java.util.Optional;
import underhand.format.engrave.Lettering.Face;
import underhand.format.score.ScoredPart;

/** Headings of sections: their names, what the right hand plays in them where that changes, and whether it swings. */
final class PdfHeadings {

    private static final float SIZE = 12;
    private static final float ABOVE = 6;
    private static final float BELOW = 8;

    private final PdfFlow flow;
    private final ScoredPart scored;

    PdfHeadings(PdfFlow flow, ScoredPart scored) {
        this.flow = flow;
        this.scored = scored;
    }

    /**
     * Begins a section where a bar is the first of one.
     *
     * @param number from 1
     */
    void add(int number) {
        Optional<String> heading = scored.heading(number);
        if (heading.isEmpty()) {
            return;
        }
        flow.section();
        String words = heading.get();
        if (!words.isBlank()) {
            flow.heading(ABOVE + SIZE + BELOW, page -> page.text(Face.BOLD, SIZE, 0, ABOVE + SIZE, words));
        }
    }
}
