package underhand.server.files;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/** The type of one document: the page's own faces, and a second font for each that has the glyphs it lacks. */
final class PdfType {

    private static final String UNKNOWN = "\u25A1";

    /** A face and the fonts it is set in. */
    enum Face {
        PLAIN("AtkinsonHyperlegibleNext_400Regular.ttf", "DejaVuSans.ttf"),
        BOLD("AtkinsonHyperlegibleNext_700Bold.ttf", "DejaVuSans-Bold.ttf"),
        MONO("JetBrainsMono_400Regular.ttf", "DejaVuSansMono.ttf");

        private final List<String> files;

        Face(String... files) {
            this.files = List.of(files);
        }
    }

    /** Text in one font. */
    record Run(PDFont font, String text) {

        float width(float points) throws IOException {
            return font.getStringWidth(text) / 1000 * points;
        }
    }

    private final PDDocument document;
    private final Map<Face, List<PDFont>> fonts = new EnumMap<>(Face.class);

    PdfType(PDDocument document) {
        this.document = document;
        for (Face face : Face.values()) {
            fonts.put(face, new ArrayList<>());
        }
    }

    /** A font of a face; the second is loaded, and goes into the document, when it is asked for first. */
    private PDFont font(Face face, int number) throws IOException {
        List<PDFont> loaded = fonts.get(face);
        while (loaded.size() <= number) {
            String file = "/fonts/" + face.files.get(loaded.size());
            try (InputStream in = PdfType.class.getResourceAsStream(file)) {
                if (in == null) {
                    throw new IllegalStateException("the font " + file + " is not packed with the application");
                }
                loaded.add(PDType0Font.load(document, in, true));
            }
        }
        return loaded.get(number);
    }

    /** A text in runs of one font each; what no font has a glyph for is an empty square. */
    List<Run> runs(Face face, String text) throws IOException {
        List<Run> runs = new ArrayList<>();
        int[] characters =
                text.codePoints().filter(c -> !Character.isISOControl(c)).toArray();
        for (int character : characters) {
            String one = Character.toString(character);
            PDFont font = font(face, 0);
            if (!has(font, one)) {
                font = font(face, 1);
                one = has(font, one) ? one : UNKNOWN;
            }
            Run last = runs.isEmpty() ? null : runs.get(runs.size() - 1);
            if (last != null && last.font() == font) {
                runs.set(runs.size() - 1, new Run(font, last.text() + one));
            } else {
                runs.add(new Run(font, one));
            }
        }
        return runs;
    }

    private static boolean has(PDFont font, String character) throws IOException {
        try {
            font.encode(character);
            return true;
        } catch (IllegalArgumentException e) {
            return false;
        }
    }

    float width(Face face, float points, String text) throws IOException {
        float width = 0;
        for (Run run : runs(face, text)) {
            width += run.width(points);
        }
        return width;
    }

    /** Pieces in lines no wider than so many points; a piece that is wider is cut. */
    List<String> lines(Face face, float points, float width, List<String> pieces, String between) throws IOException {
        List<String> lines = new ArrayList<>();
        String line = "";
        for (String piece : pieces) {
            String longer = line.isEmpty() ? piece : line + between + piece;
            if (!line.isEmpty() && width(face, points, longer) > width) {
                lines.add(line);
                longer = piece;
            }
            line = longer;
            while (width(face, points, line) > width && line.codePointCount(0, line.length()) > 1) {
                int end = fitting(face, points, width, line);
                lines.add(line.substring(0, end));
                line = line.substring(end);
            }
        }
        lines.add(line);
        return lines;
    }

    /** A text in lines of whole words where they fit. */
    List<String> wrapped(Face face, float points, float width, String text) throws IOException {
        return lines(face, points, width, List.of(text.split(" ")), " ");
    }

    /** Where a word is cut: as many of its characters as fit, one at least. */
    private int fitting(Face face, float points, float width, String word) throws IOException {
        int end = word.offsetByCodePoints(0, 1);
        float wide = width(face, points, word.substring(0, end));
        while (end < word.length()) {
            int next = word.offsetByCodePoints(end, 1);
            wide += width(face, points, word.substring(end, next));
            if (wide > width) {
                break;
            }
            end = next;
        }
        return end;
    }
}
