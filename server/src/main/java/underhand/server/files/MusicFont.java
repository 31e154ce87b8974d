package underhand.server.files;

import java.awt.geom.GeneralPath;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.apache.fontbox.ttf.CmapLookup;
import org.apache.fontbox.ttf.OTFParser;
import org.apache.fontbox.ttf.OpenTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;

/**
 * Musical signs as outlines, a staff space high where a notehead is. Signs are numbered as in the Standard Music Font Layout
 * (W3C Community Group, SMuFL 1.4); four staff spaces are one em.
 */
final class MusicFont {

    private static final String FILE = "/fonts/bravura.otf";
    static final float UNITS_A_SPACE = 250;
    private static final MusicFont BRAVURA = new MusicFont();

    private final OpenTypeFont font;
    private final CmapLookup glyphs;
    private final Map<Integer, GeneralPath> outlines = new ConcurrentHashMap<>();

    private MusicFont() {
        try (InputStream in = MusicFont.class.getResourceAsStream(FILE)) {
            if (in == null) {
                throw new IllegalStateException("the font " + FILE + " is not packed with the application");
            }
            font = new OTFParser().parse(new RandomAccessReadBuffer(in));
            glyphs = font.getUnicodeCmapLookup();
        } catch (IOException e) {
            throw new UncheckedIOException("the font " + FILE + " cannot be read", e);
        }
    }

    /** Draws a sign with its origin at a place, in staff spaces of so many points. */
    static void draw(PdfCanvas page, int sign, float x, float below, float space) throws IOException {
        page.outline(outlineOf(sign).getPathIterator(null), x, below, space / UNITS_A_SPACE);
    }

    /** A sign's outline, its y upwards, {@link #UNITS_A_SPACE} a staff space. */
    static GeneralPath outlineOf(int sign) {
        return BRAVURA.outlines.computeIfAbsent(sign, BRAVURA::outline);
    }

    private GeneralPath outline(int sign) {
        try {
            synchronized (font) {
                return font.getCFF()
                        .getFont()
                        .getType2CharString(glyphs.getGlyphId(sign))
                        .getPath();
            }
        } catch (IOException e) {
            throw new UncheckedIOException("sign " + Integer.toHexString(sign) + " of " + FILE + " cannot be read", e);
        }
    }
}
