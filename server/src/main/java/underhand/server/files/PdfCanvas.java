package underhand.server.files;

import java.awt.geom.PathIterator;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.util.Matrix;
import underhand.format.engrave.Lettering.Face;

/** Pages to write and draw on, from the top left corner, in points before enlarging; fonts are embedded. */
final class PdfCanvas implements AutoCloseable {

    /** On paper, however large what is drawn. */
    private static final float MARGIN = 48;

    /** Points of what stands at the foot. */
    private static final float FOOT = 8;

    /** Points of the lower margin that are kept for its right end. */
    private static final float FOOT_RIGHT = 60;

    private final PDDocument document = new PDDocument();
    private final PDRectangle paper;
    private final float scale;
    private final float margin;
    private final float high;
    private final PdfType type = new PdfType(document);
    private PDPageContentStream out;
    private float y;

    /** @param scale how much larger everything is drawn */
    PdfCanvas(PDRectangle paper, float scale) {
        this.paper = paper;
        this.scale = scale;
        this.margin = MARGIN / scale;
        this.high = paper.getHeight() / scale;
    }

    void newPage() throws IOException {
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

    /** Points of a page from its upper to its lower margin. */
    float height() {
        return high - 2 * margin;
    }

    void down(float points) {
        y += points;
    }

    /** @param x from the left margin; the baseline lies {@code below} the place reached */
    void text(Face face, float points, float x, float below, String text) throws IOException {
        write(points, margin + x, y + below, type.runs(face, text));
    }

    /** Writes with the middle of the text at a place. */
    void centred(Face face, float points, float x, float below, String text) throws IOException {
        text(face, points, x - widthOf(face, points, text) / 2, below, text);
    }

    private void write(float points, float x, float down, List<PdfType.Run> runs) throws IOException {
        out.beginText();
        out.newLineAtOffset(x, high - down);
        for (PdfType.Run run : runs) {
            out.setFont(run.font(), points);
            out.showText(run.text());
        }
        out.endText();
    }

    /** Writes in the lower margin, at its left and right end; the left is cut where the two would touch. */
    void foot(String left, String right) throws IOException {
        float down = high - margin + 2 * FOOT;
        List<String> lines = PdfType.wrapped(Face.PLAIN, FOOT, width() - FOOT_RIGHT, left);
        String shown = lines.size() == 1 ? left : lines.get(0) + " …";
        write(FOOT, margin, down, type.runs(Face.PLAIN, shown));
        float x = margin + width() - widthOf(Face.PLAIN, FOOT, right);
        write(FOOT, x, down, type.runs(Face.PLAIN, right));
    }

    float widthOf(Face face, float points, String text) {
        return PdfType.width(face, points, text);
    }

    void line(float x1, float below1, float x2, float below2, float wide) throws IOException {
        out.setLineWidth(wide);
        out.moveTo(margin + x1, high - y - below1);
        out.lineTo(margin + x2, high - y - below2);
        out.stroke();
    }

    /** A level line with round ends. */
    void roundLine(float x1, float x2, float below, float wide) throws IOException {
        out.setLineCapStyle(1);
        line(x1, below, x2, below, wide);
        out.setLineCapStyle(0);
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
