package underhand.server.engraving;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.apache.fontbox.ttf.CmapLookup;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import underhand.format.engrave.Lettering;

/** The page's own faces, and a second font for each that has the glyphs it lacks; measured without setting anything. */
public final class Type implements Lettering {

    /** Stands for what no font has a glyph for. */
    public static final int UNKNOWN = 0x25A1;

    private static final Map<Face, List<String>> FILES = Map.of(
            Face.PLAIN, List.of("AtkinsonHyperlegibleNext_400Regular.ttf", "DejaVuSans.ttf"),
            Face.BOLD, List.of("AtkinsonHyperlegibleNext_700Bold.ttf", "DejaVuSans-Bold.ttf"),
            Face.MONO, List.of("JetBrainsMono_400Regular.ttf", "DejaVuSansMono.ttf"));

    /** There is one of them: fonts are read once. */
    public static final Type FACES = new Type();

    private final Map<Face, List<Measured>> fonts = new EnumMap<>(Face.class);

    private record Measured(TrueTypeFont font, CmapLookup glyphs) {

        int glyph(int character) {
            return glyphs.getGlyphId(character);
        }

        float em(int glyph) throws IOException {
            return font.getAdvanceWidth(glyph) / (float) font.getUnitsPerEm();
        }
    }

    private Type() {
        for (Face face : Face.values()) {
            fonts.put(face, FILES.get(face).stream().map(Type::measured).toList());
        }
    }

    private static Measured measured(String file) {
        try (InputStream in = open(file)) {
            TrueTypeFont font = new TTFParser().parse(new RandomAccessReadBuffer(in));
            return new Measured(font, font.getUnicodeCmapLookup());
        } catch (IOException e) {
            throw new UncheckedIOException("the font " + file + " cannot be read", e);
        }
    }

    private static InputStream open(String file) {
        InputStream in = Type.class.getResourceAsStream("/fonts/" + file);
        if (in == null) {
            throw new IllegalStateException("the font " + file + " is not packed with the application");
        }
        return in;
    }

    /** The file of a face's first or second font, by 0 or 1. */
    public static InputStream file(Face face, int font) {
        return open(FILES.get(face).get(font));
    }

    /** A character as it is set: itself, or the sign for what no font has. */
    public int shown(Face face, int character) {
        return fonts.get(face).stream().anyMatch(font -> font.glyph(character) != 0) ? character : UNKNOWN;
    }

    /** Which of a face's fonts has a character that is shown: 0 or 1. */
    public int font(Face face, int shown) {
        return fonts.get(face).get(0).glyph(shown) != 0 ? 0 : 1;
    }

    @Override
    public float width(Face face, float points, String text) {
        float width = 0;
        try {
            for (int character : shown(face, text)) {
                Measured font = fonts.get(face).get(font(face, character));
                width += font.em(font.glyph(character));
            }
        } catch (IOException e) {
            throw new UncheckedIOException("a font of " + face + " cannot be read", e);
        }
        return width * points;
    }

    /** The characters of a text as they are set; what controls a terminal is not. */
    public int[] shown(Face face, String text) {
        return text.codePoints()
                .filter(c -> !Character.isISOControl(c))
                .map(c -> shown(face, c))
                .toArray();
    }
}
