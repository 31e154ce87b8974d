package underhand.server.files;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import underhand.chart.Chart;
import underhand.format.score.Handedness;
import underhand.format.score.ScoredPart;
import underhand.hand.Grip;
import underhand.neck.Shape;
import underhand.solve.PlacedGrip;

/** The sheet for the stand as a PDF: header, the grips, then words with chords, or tab. Breaks pages between lines only. */
final class PdfSheet {

    /** How much larger large type is. */
    private static final float LARGE = 1.45f;

    private static final float FACTS = 10;
    private static final float FRAME = 70;
    private static final float FRAME_HEIGHT = 92;

    private final PdfCanvas page;

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
     * @param writtenOut whether strums have all their notes, and bars like the one before theirs
     */
    record Look(Paper paper, boolean tab, boolean big, boolean writtenOut) {}

    static byte[] write(String title, List<ScoredPart> parts, Look look) {
        try (PdfCanvas page = new PdfCanvas(look.paper().size, look.big() ? LARGE : 1)) {
            PdfSheet sheet = new PdfSheet(page);
            for (int i = 0; i < parts.size(); i++) {
                if (i > 0) {
                    page.newPage();
                }
                sheet.part(title, parts.get(i), parts.size() > 1, look);
            }
            return page.toBytes(title);
        } catch (IOException e) {
            throw new UncheckedIOException("the sheet could not be written", e);
        }
    }

    private void part(String title, ScoredPart scored, boolean named, Look look) throws IOException {
        page.text(page.bold, 22, 0, 20, title);
        page.down(30);
        facts(Stream.of(
                        named ? scored.name() : "",
                        scored.capo() == 0
                                ? "No capo"
                                : "Capo " + scored.capo() + ", sounds in "
                                        + scored.key().glyphs(),
                        "tuned " + scored.tuning(),
                        scored.part().arrangement().tempo() + " beats a minute")
                .filter(fact -> !fact.isBlank())
                .toList());
        grips(scored);
        if (look.tab()) {
            new PdfScore(page, scored, look.writtenOut()).write();
        } else {
            words(scored);
        }
    }

    /** What there is to know before the first bar, in as many lines as it takes. */
    private void facts(List<String> facts) throws IOException {
        String line = "";
        for (String fact : facts) {
            String longer = line.isEmpty() ? fact : line + " · " + fact;
            if (!line.isEmpty() && PdfCanvas.widthOf(page.plain, FACTS, longer) > page.width()) {
                page.text(page.plain, FACTS, 0, FACTS, line);
                page.down(FACTS + 4);
                longer = fact;
            }
            line = longer;
        }
        page.text(page.plain, FACTS, 0, FACTS, line);
        page.down(FACTS + 14);
    }

    private void grips(ScoredPart scored) throws IOException {
        Map<String, PlacedGrip> different = new LinkedHashMap<>();
        scored.part().arrangement().placements().stream()
                .filter(p -> p.grip().isPresent())
                .forEach(p -> different.putIfAbsent(
                        p.played().orElseThrow().glyphs() + p.grip().get().grip(), p));
        float x = 0;
        page.need(FRAME_HEIGHT);
        for (PlacedGrip place : different.values()) {
            if (x + FRAME > page.width()) {
                x = 0;
                page.down(FRAME_HEIGHT);
                page.need(FRAME_HEIGHT);
            }
            frame(
                    x,
                    place.played().orElseThrow().glyphs(),
                    place.grip().orElseThrow().grip(),
                    scored.handedness());
            x += FRAME;
        }
        page.down(FRAME_HEIGHT + 8);
    }

    private void frame(float left, String name, Grip grip, Handedness handedness) throws IOException {
        Shape shape = grip.shape();
        float string = 50f / (shape.strings() - 1);
        float fret = 13;
        var window = grip.window();
        int first = window.first();
        int frets = window.frets();
        float top = 26;
        page.text(page.bold, 11, left, 10, name);
        for (int i = 0; i <= frets; i++) {
            page.line(left, top + i * fret, left + 50, top + i * fret, i == 0 && window.atNut() ? 2.5f : 0.6f);
        }
        if (!window.atNut()) {
            page.text(page.plain, 7, left + 57, top + 9, Integer.toString(first));
        }
        for (int i = 0; i < shape.strings(); i++) {
            page.line(left + i * string, top, left + i * string, top + frets * fret, 0.6f);
            if (!shape.isFretted(i)) {
                float x = left + handedness.column(i, shape.strings()) * string;
                page.text(page.plain, 7, x - 2, top - 3, shape.isSilent(i) ? "×" : "○");
            }
        }
        for (var hold : grip.holds()) {
            float y = top + (hold.fret() - first + 0.5f) * fret;
            float low = left + handedness.column(hold.lowString(), shape.strings()) * string;
            if (hold.isBarre()) {
                page.line(low, y, left + handedness.column(hold.highString(), shape.strings()) * string, y, 8);
            }
            page.dot(low, y, 4.6f);
            page.white(true);
            page.text(page.bold, 7, low - 2, y + 2.5f, hold.label());
            page.white(false);
        }
    }

    /** A chord with its words. */
    private record Cell(String chord, String shape, String words) {}

    private void words(ScoredPart scored) throws IOException {
        List<Cell> line = new ArrayList<>();
        int bars = 0;
        int bar = -1;
        for (PlacedGrip place : scored.part().arrangement().placements()) {
            boolean newBar = place.slot().bar() != bar;
            boolean newSection = newBar && place.slot().barInSection() == 1;
            List<Chart.Words> spoken = newBar ? scored.wordsBefore(place.slot().bar()) : List.of();
            if (newSection || newBar && bars == 4 || !spoken.isEmpty()) {
                line(line);
                line.clear();
                bars = 0;
            }
            PdfWords.write(page, spoken);
            if (newSection && !place.slot().section().isBlank()) {
                page.need(70);
                page.text(page.bold, 12, 0, 16, place.slot().section());
                page.down(24);
            }
            bars += newBar ? 1 : 0;
            bar = place.slot().bar();
            line.add(new Cell(
                    (newBar ? "| " : "") + place.played().map(c -> c.glyphs()).orElse("N.C."),
                    place.grip().map(g -> g.grip().shape().toString()).orElse(""),
                    place.segment().part() == 0 ? place.slot().placement().lyric() : ""));
        }
        line(line);
        PdfWords.write(page, scored.wordsAfter());
    }

    private void line(List<Cell> cells) throws IOException {
        float size = 11.5f;
        float high = 44;
        float x = 0;
        for (Cell cell : cells) {
            for (Cell piece : pieces(cell, size)) {
                float wide = Math.max(
                        Math.max(
                                PdfCanvas.widthOf(page.bold, size, piece.chord()),
                                PdfCanvas.widthOf(page.mono, size * 0.62f, piece.shape())),
                        PdfCanvas.widthOf(page.plain, size, piece.words()));
                float room = Math.max(wide + size, page.width() / 4 - 1);
                if (x > 0 && x + wide > page.width()) {
                    page.down(high);
                    x = 0;
                }
                if (x == 0) {
                    page.need(high);
                }
                page.text(page.bold, size, x, size, piece.chord());
                page.text(page.mono, size * 0.62f, x, size * 1.75f, piece.shape());
                page.text(page.plain, size, x, size * 3f, piece.words());
                x += room;
            }
        }
        if (!cells.isEmpty()) {
            page.down(high);
        }
    }

    /** A cell whose words are wider than the page in several. */
    private List<Cell> pieces(Cell cell, float size) throws IOException {
        List<Cell> pieces = new ArrayList<>();
        StringBuilder words = new StringBuilder();
        for (String word : cell.words().split(" ")) {
            boolean full = PdfCanvas.widthOf(page.plain, size, words + " " + word) > page.width();
            if (full && !words.isEmpty()) {
                pieces.add(new Cell(
                        pieces.isEmpty() ? cell.chord() : "", pieces.isEmpty() ? cell.shape() : "", words.toString()));
                words.setLength(0);
            }
            words.append(words.isEmpty() ? "" : " ").append(word);
        }
        pieces.add(
                new Cell(pieces.isEmpty() ? cell.chord() : "", pieces.isEmpty() ? cell.shape() : "", words.toString()));
        return pieces;
    }
}
