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
import underhand.format.engrave.Lettering.Face;
import underhand.server.engraving.Type;

/** The type of one document: its fonts go into it as they are wanted. */
final class PdfType {

    /** Text in one font. */
    record Run(PDFont font, String text) {}

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
            try (InputStream in = Type.file(face, loaded.size())) {
                loaded.add(PDType0Font.load(document, in, true));
            }
        }
        return loaded.get(number);
    }

    /** A text in runs of one font each; what no font has a glyph for is an empty square. */
    List<Run> runs(Face face, String text) throws IOException {
        List<Run> runs = new ArrayList<>();
        for (int character : Type.FACES.shown(face, text)) {
            String one = Character.toString(character);
            PDFont font = font(face, Type.FACES.font(face, character));
            Run last = runs.isEmpty() ? null : runs.get(runs.size() - 1);
            if (last != null && last.font() == font) {
                runs.set(runs.size() - 1, new Run(font, last.text() + one));
            } else {
                runs.add(new Run(font, one));
            }
        }
        return runs;
    }

    static float width(Face face, float points, String text) {
        return Type.FACES.width(face, points, text);
    }

    /** Pieces in lines no wider than so many points; a piece that is wider is cut. */
    static List<String> lines(Face face, float points, float width, List<String> pieces, String between) {
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
    static List<String> wrapped(Face face, float points, float width, String text) {
        return lines(face, points, width, List.of(text.split(" ")), " ");
    }

    /** Where a word is cut: as many of its characters as fit, one at least. */
    private static int fitting(Face face, float points, float width, String word) {
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
