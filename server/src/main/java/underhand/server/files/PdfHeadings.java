package underhand.server.files;

import java.util.stream.Collectors;
import java.util.stream.Stream;
import underhand.format.score.ScoredPart;
import underhand.server.files.PdfType.Face;

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

    /** Whether the right hand plays the same in every section. */
    static boolean onePattern(ScoredPart scored) {
        return scored.part().bars().stream()
                        .filter(bar -> bar.section().isPresent())
                        .map(bar -> bar.pattern())
                        .distinct()
                        .count()
                < 2;
    }

    /**
     * Begins a section where a bar is the first of one.
     *
     * @param number from 1
     */
    void add(int number) {
        var bar = scored.part().bars().get(number - 1);
        if (bar.section().isEmpty()) {
            return;
        }
        flow.section();
        String pattern = onePattern(scored) ? "" : bar.pattern();
        String words = Stream.of(bar.section().get(), pattern, bar.swing() ? "swing" : "")
                .filter(word -> !word.isBlank())
                .collect(Collectors.joining(" · "));
        if (!words.isBlank()) {
            flow.heading(ABOVE + SIZE + BELOW, page -> page.text(Face.BOLD, SIZE, 0, ABOVE + SIZE, words));
        }
    }
}
