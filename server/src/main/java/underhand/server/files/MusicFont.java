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

    static final int GUITAR_CLEF = 0xE052;
    static final int TAB_CLEF = 0xE06D;
    static final int TIME_0 = 0xE080;
    static final int HEAD_WHOLE = 0xE0A2;
    static final int HEAD_HALF = 0xE0A3;
    static final int HEAD_BLACK = 0xE0A4;
    static final int HEAD_X = 0xE0A9;
    static final int SLASH = 0xE100;
    static final int SLASH_WHOLE = 0xE102;
    static final int SLASH_HALF = 0xE103;
    static final int DOT = 0xE1E7;
    static final int FLAG_8_UP = 0xE240;
    static final int FLAT = 0xE260;
    static final int NATURAL = 0xE261;
    static final int SHARP = 0xE262;
    static final int DOUBLE_SHARP = 0xE263;
    static final int DOUBLE_FLAT = 0xE264;
    static final int ACCENT_ABOVE = 0xE4A0;
    static final int STACCATO_ABOVE = 0xE4A2;
    static final int REST_WHOLE = 0xE4E3;
    static final int REPEAT_BAR = 0xE500;

    /** Width of a black notehead in staff spaces. */
    static final float HEAD_WIDTH = 1.18f;

    /** Width of the sign for a bar like the one before. */
    static final float REPEAT_WIDTH = 2.13f;

    private static final String FILE = "/fonts/bravura.otf";
    private static final float UNITS_A_SPACE = 250;
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

    /** Width of the slash for a note value in staff spaces. */
    static float slashWidth(int type) {
        return switch (type) {
            case 1 -> 3.92f;
            case 2 -> 3.12f;
            default -> 1.46f;
        };
    }

    /** Draws a sign with its origin at a place, in staff spaces of so many points. */
    static void draw(PdfCanvas page, int sign, float x, float below, float space) throws IOException {
        GeneralPath outline = BRAVURA.outlines.computeIfAbsent(sign, BRAVURA::outline);
        page.outline(outline.getPathIterator(null), x, below, space / UNITS_A_SPACE);
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
