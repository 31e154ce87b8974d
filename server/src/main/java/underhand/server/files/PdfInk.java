package underhand.server.files;

import java.io.IOException;
import java.io.UncheckedIOException;
import underhand.format.engrave.Ink;
import underhand.format.engrave.Lettering.Face;

/** Draws a row at the place reached on a page. */
final class PdfInk implements Ink {

    private final PdfCanvas page;

    PdfInk(PdfCanvas page) {
        this.page = page;
    }

    private interface Drawing {
        void draw() throws IOException;
    }

    private static void drawn(Drawing drawing) {
        try {
            drawing.draw();
        } catch (IOException e) {
            throw new UncheckedIOException("the sheet could not be drawn", e);
        }
    }

    @Override
    public void text(Face face, float points, float x, float y, String text) {
        drawn(() -> page.text(face, points, x, y, text));
    }

    @Override
    public void sign(int sign, float space, float x, float y) {
        drawn(() -> MusicFont.draw(page, sign, x, y, space));
    }

    @Override
    public void line(float x1, float y1, float x2, float y2, float wide) {
        drawn(() -> page.line(x1, y1, x2, y2, wide));
    }

    @Override
    public void arc(float x1, float x2, float y, float bend) {
        drawn(() -> page.arc(x1, x2, y, bend));
    }

    @Override
    public void blank(float x, float y, float wide, float tall) {
        drawn(() -> page.blank(x, y + tall, wide, tall));
    }
}
