package underhand.server.files;

import java.awt.geom.PathIterator;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.util.Matrix;

/** Pages to write and draw on, from the top left corner, in points before enlarging; fonts are embedded. */
final class PdfCanvas implements AutoCloseable {

    /** On paper, however large what is drawn. */
    private static final float MARGIN = 48;

    private static final String UNKNOWN = "\u25A1";

    private final PDDocument document = new PDDocument();
    private final PDRectangle paper;
    private final float scale;
    private final float margin;
    private final float high;
    final PDFont plain;
    final PDFont bold;
    final PDFont mono;
    private PDPageContentStream out;
    private float y;

    /** @param scale how much larger everything is drawn */
    PdfCanvas(PDRectangle paper, float scale) {
        this.paper = paper;
        this.scale = scale;
        this.margin = MARGIN / scale;
        this.high = paper.getHeight() / scale;
        try {
            plain = font("DejaVuSans.ttf");
            bold = font("DejaVuSans-Bold.ttf");
            mono = font("DejaVuSansMono.ttf");
            newPage();
        } catch (IOException e) {
            throw new UncheckedIOException("the sheet cannot be begun", e);
        }
    }

    private PDFont font(String file) throws IOException {
        try (InputStream in = PdfCanvas.class.getResourceAsStream("/fonts/" + file)) {
            if (in == null) {
                throw new IllegalStateException("the font " + file + " is not packed with the application");
            }
            return PDType0Font.load(document, in, true);
        }
    }

    final void newPage() throws IOException {
        if (out != null) {
            out.close();
        }
        PDPage page = new PDPage(paper);
        document.addPage(page);
        out = new PDPageContentStream(document, page);
        out.transform(Matrix.getScaleInstance(scale, scale));
        y = margin;
    }

    float width() {
        return paper.getWidth() / scale - 2 * margin;
    }

    /** How far down the page is written. */
    float y() {
        return y;
    }

    void down(float points) {
        y += points;
    }

    /** Begins a page where so many points are not left on this one. */
    void need(float points) throws IOException {
        if (y + points > high - margin) {
            newPage();
        }
    }

    /** @param x from the left margin; the baseline lies {@code below} the place reached */
    void text(PDFont font, float points, float x, float below, String text) throws IOException {
        out.beginText();
        out.setFont(font, points);
        out.newLineAtOffset(margin + x, high - y - below);
        out.showText(shown(font, text));
        out.endText();
    }

    static float widthOf(PDFont font, float points, String text) throws IOException {
        return font.getStringWidth(shown(font, text)) / 1000 * points;
    }

    /** A text without what the font has no glyph for. */
    private static String shown(PDFont font, String text) {
        StringBuilder shown = new StringBuilder();
        text.codePoints().filter(c -> !Character.isISOControl(c)).forEach(c -> {
            String one = Character.toString(c);
            try {
                font.encode(one);
                shown.append(one);
            } catch (IOException | IllegalArgumentException e) {
                shown.append(UNKNOWN);
            }
        });
        return shown.toString();
    }

    void line(float x1, float below1, float x2, float below2, float wide) throws IOException {
        out.setLineWidth(wide);
        out.moveTo(margin + x1, high - y - below1);
        out.lineTo(margin + x2, high - y - below2);
        out.stroke();
    }

    /** A filled outline, its own y upwards, that much larger. */
    void outline(PathIterator path, float x, float below, float scale) throws IOException {
        float left = margin + x;
        float base = high - y - below;
        float[] at = new float[6];
        for (; !path.isDone(); path.next()) {
            int kind = path.currentSegment(at);
            for (int i = 0; i < at.length; i += 2) {
                at[i] = left + scale * at[i];
                at[i + 1] = base + scale * at[i + 1];
            }
            switch (kind) {
                case PathIterator.SEG_MOVETO -> out.moveTo(at[0], at[1]);
                case PathIterator.SEG_LINETO -> out.lineTo(at[0], at[1]);
                case PathIterator.SEG_CUBICTO -> out.curveTo(at[0], at[1], at[2], at[3], at[4], at[5]);
                case PathIterator.SEG_CLOSE -> out.closePath();
                default -> throw new IllegalStateException("outlines of this font have only lines and cubic curves");
            }
        }
        out.fill();
    }

    /** A line bent by so much downwards in its middle. */
    void arc(float x1, float x2, float below, float bend) throws IOException {
        out.setLineWidth(0.8f);
        float base = high - y - below;
        float third = (x2 - x1) / 3;
        out.moveTo(margin + x1, base);
        out.curveTo(margin + x1 + third, base - bend, margin + x2 - third, base - bend, margin + x2, base);
        out.stroke();
    }

    /** A filled circle. */
    void dot(float x, float below, float radius) throws IOException {
        float k = 0.5523f * radius;
        float cx = margin + x;
        float cy = high - y - below;
        out.moveTo(cx - radius, cy);
        out.curveTo(cx - radius, cy + k, cx - k, cy + radius, cx, cy + radius);
        out.curveTo(cx + k, cy + radius, cx + radius, cy + k, cx + radius, cy);
        out.curveTo(cx + radius, cy - k, cx + k, cy - radius, cx, cy - radius);
        out.curveTo(cx - k, cy - radius, cx - radius, cy - k, cx - radius, cy);
        out.fill();
    }

    /** Blanks a place out, so that a number can stand on a line. */
    void blank(float x, float below, float wide, float tall) throws IOException {
        out.setNonStrokingColor(1f);
        out.addRect(margin + x, high - y - below, wide, tall);
        out.fill();
        out.setNonStrokingColor(0f);
    }

    void white(boolean on) throws IOException {
        out.setNonStrokingColor(on ? 1f : 0f);
    }

    byte[] toBytes(String title) throws IOException {
        out.close();
        out = null;
        document.getDocumentInformation().setTitle(title);
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        document.save(bytes);
        return bytes.toByteArray();
    }

    @Override
    public void close() throws IOException {
        if (out != null) {
            out.close();
        }
        document.close();
    }
}
