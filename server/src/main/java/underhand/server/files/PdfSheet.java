package underhand.server.files;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.stream.Stream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import underhand.format.engrave.Lettering.Face;
import underhand.format.score.ScoredPart;

/** The sheet for the stand as a PDF: what there is to know, the grips, then words with chords, or staff and tab. */
final class PdfSheet {

    /** How much larger large type is. */
    private static final float LARGE = 1.45f;

    /** How much smaller all is set where that saves a page. */
    private static final float SMALLER = 0.88f;

    private static final float TITLE = 22;
    private static final float FACTS = 10;

    /** Frames that stand before the first bar; more have a page of their own after the last. */
    private static final int MOST_BEFORE = 12;

    private final PdfCanvas page;
    private final PdfFlow flow = new PdfFlow();

    private PdfSheet(PdfCanvas page) {
        this.page = page;
    }

    /** Paper. */
    enum Paper {
        A4(PDRectangle.A4),
        LETTER(PDRectangle.LETTER);

        private final PDRectangle size;

        Paper(PDRectangle size) {
            this.size = size;
        }
    }

    /**
     * @param tab whether there are staff and tab instead of the words
     * @param big whether all is set large
     * @param writtenOut whether strums have all their notes, and bars like the one before and repeats theirs
     */
    record Look(Paper paper, boolean tab, boolean big, boolean writtenOut) {}

    static byte[] write(String title, List<ScoredPart> parts, Look look) {
        float scale = look.big() ? LARGE : 1;
        try (PdfCanvas page = new PdfCanvas(look.paper().size, scale);
                PdfCanvas smaller = new PdfCanvas(look.paper().size, scale * SMALLER)) {
            PdfSheet sheet = of(title, parts, look, page);
            if (sheet.pages() > 1) {
                PdfSheet tighter = of(title, parts, look, smaller);
                sheet = tighter.pages() < sheet.pages() ? tighter : sheet;
            }
            sheet.flow.write(sheet.page);
            return sheet.page.toBytes(title);
        } catch (IOException e) {
            throw new UncheckedIOException("the sheet could not be written", e);
        }
    }

    private static PdfSheet of(String title, List<ScoredPart> parts, Look look, PdfCanvas page) throws IOException {
        PdfSheet sheet = new PdfSheet(page);
        for (ScoredPart part : parts) {
            sheet.part(title, part, parts.size() > 1, look);
        }
        return sheet;
    }

    private int pages() {
        return flow.pages(page);
    }

    private void part(String title, ScoredPart scored, boolean named, Look look) throws IOException {
        String running = named ? title + " · " + scored.name() : title;
        flow.chapter(running);
        title(title);
        List<PdfGrips.Named> grips = PdfGrips.of(scored);
        boolean before = grips.size() <= MOST_BEFORE;
        facts(Stream.of(
                        named ? scored.name() : "",
                        scored.capo() == 0
                                ? "No capo"
                                : "Capo " + scored.capo() + ", sounds in "
                                        + scored.key().glyphs(),
                        "tuned " + scored.tuning(),
                        hand(scored),
                        scored.part().arrangement().tempo() + " beats a minute",
                        before ? "" : grips.size() + " grips, after the last bar")
                .filter(fact -> !fact.isBlank())
                .toList());
        if (before) {
            PdfGrips.add(page, grips, scored.handedness(), flow::heading);
        }
        if (look.tab()) {
            PdfScore.add(page, flow, scored, look.writtenOut());
        } else {
            new PdfChordRows(page, flow, scored, look.writtenOut()).write();
        }
        if (!before) {
            flow.chapter(running);
            title("Grips");
            PdfGrips.add(page, grips, scored.handedness(), flow::row);
        }
    }

    private void title(String title) throws IOException {
        for (String line : PdfType.wrapped(Face.BOLD, TITLE, page.width(), title)) {
            flow.heading(TITLE + 5, at -> at.text(Face.BOLD, TITLE, 0, TITLE - 2, line));
        }
    }

    /** The metre, and the pattern where the right hand plays one in every section. */
    private static String hand(ScoredPart scored) {
        return scored.part().bars().stream()
                .findFirst()
                .map(bar -> bar.metre() + (scored.isOnePattern() ? ", " + bar.pattern() : ""))
                .orElse("");
    }

    /** What there is to know before the first bar, in as many lines as it takes. */
    private void facts(List<String> facts) throws IOException {
        List<String> lines = PdfType.lines(Face.PLAIN, FACTS, page.width(), facts, " · ");
        for (int i = 0; i < lines.size(); i++) {
            String line = lines.get(i);
            float after = i + 1 < lines.size() ? 4 : 14;
            flow.heading(FACTS + after, at -> at.text(Face.PLAIN, FACTS, 0, FACTS, line));
        }
    }
}
