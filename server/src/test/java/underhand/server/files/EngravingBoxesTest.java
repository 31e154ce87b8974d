package underhand.server.files;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.http.MediaType.APPLICATION_JSON;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.awt.geom.Rectangle2D;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import underhand.format.engrave.Lettering.Face;
import underhand.server.ServerTest;
import underhand.server.engraving.Type;

/** Nothing that is drawn on staff and tab lies over anything else, measured by the outlines of what is drawn. */
@ServerTest
class EngravingBoxesTest {

    /** Points by which two may touch. */
    private static final double TOUCH = 0.5;

    /** Points of a row on A4 as it is set plainly, and set large. */
    private static final List<Double> WIDTHS = List.of(499.0, 344.0);

    private static final Path OF_THE_CORE = Path.of("..", "core", "src", "test", "resources", "underhand");
    private static final Path DEMO = Path.of("src", "main", "resources", "demo");

    @Autowired
    private MockMvc mvc;

    @Autowired
    private ObjectMapper json;

    /** What is drawn at a place: a text, or a sign of a kind. */
    private record Box(String what, Kind kind, Rectangle2D at) {

        boolean isOver(Box other) {
            double wide = Math.min(at.getMaxX(), other.at.getMaxX()) - Math.max(at.getMinX(), other.at.getMinX());
            double tall = Math.min(at.getMaxY(), other.at.getMaxY()) - Math.max(at.getMinY(), other.at.getMinY());
            boolean isShared = what.equals(other.what) && at.equals(other.at);
            return !isShared && wide > TOUCH && tall > TOUCH && !kind.mayMeet(other.kind);
        }
    }

    private enum Kind {
        TEXT,
        HEAD,
        ACCIDENTAL,
        FLAG,
        OTHER;

        /** Heads of a second lean on one another, accidentals interlock, flags hang beside their own heads. */
        private static final Set<Set<Kind>> NEIGHBOURS =
                Set.of(Set.of(HEAD), Set.of(ACCIDENTAL), Set.of(FLAG), Set.of(FLAG, HEAD));

        boolean mayMeet(Kind other) {
            return NEIGHBOURS.contains(this == other ? Set.of(this) : Set.of(this, other));
        }

        static Kind of(int sign) {
            if (sign >= 0xE0A0 && sign < 0xE110) {
                return HEAD;
            }
            if (sign >= 0xE240 && sign < 0xE250) {
                return FLAG;
            }
            return sign >= 0xE260 && sign < 0xE270 ? ACCIDENTAL : OTHER;
        }
    }

    private static Stream<Path> songs() {
        return Stream.of(
                        DEMO,
                        OF_THE_CORE.resolve("arrange/red-pen/charts"),
                        OF_THE_CORE.resolve("arrange/sung"),
                        OF_THE_CORE.resolve("solo"))
                .flatMap(EngravingBoxesTest::files);
    }

    private static Stream<Path> files(Path folder) {
        try (Stream<Path> files = Files.list(folder)) {
            return files.sorted().toList().stream();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @ParameterizedTest
    @MethodSource("songs")
    void nothingLiesOverAnythingElse(Path song) throws Exception {
        List<String> over = new ArrayList<>();
        boolean tune = Files.readString(song).contains("tune:");
        for (int rung : new int[] {1, 5}) {
            for (double width : WIDTHS) {
                for (boolean writtenOut : new boolean[] {false, true}) {
                    Map<String, Object> asked = new HashMap<>();
                    asked.put("chart", Map.of("source", Files.readString(song)));
                    asked.put("rung", rung);
                    if (tune && rung > 1) {
                        asked.put("solo", Map.of());
                    }
                    for (JsonNode row : rows(asked, writtenOut, width)) {
                        String where = "rung " + rung + ", " + width + ": ";
                        overlaps(row).forEach(found -> over.add(where + found));
                    }
                }
            }
        }
        assertEquals(List.of(), over.stream().distinct().toList());
    }

    private JsonNode rows(Map<String, Object> song, boolean writtenOut, double width) throws Exception {
        byte[] answer = mvc.perform(post("/api/v1/parts/engraving")
                        .contentType(APPLICATION_JSON)
                        .content(
                                json.writeValueAsBytes(Map.of("song", song, "writtenOut", writtenOut, "width", width))))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
        JsonNode rows = json.readTree(answer).get("rows");
        assertTrue(rows.size() > 0);
        return rows;
    }

    private static List<String> overlaps(JsonNode row) {
        List<Box> boxes = new ArrayList<>();
        row.get("signs").forEach(sign -> boxes.add(sign(sign)));
        row.get("texts").forEach(text -> boxes.add(text(text)));
        List<String> over = new ArrayList<>();
        for (int i = 0; i < boxes.size(); i++) {
            for (int j = i + 1; j < boxes.size(); j++) {
                if (boxes.get(i).isOver(boxes.get(j))) {
                    over.add("bar " + row.get("bar").asInt() + "+: " + boxes.get(i) + " over " + boxes.get(j));
                }
            }
        }
        return over;
    }

    private static Box sign(JsonNode drawn) {
        int sign = drawn.get("sign").asText().codePointAt(0);
        Rectangle2D outline = MusicFont.outlineOf(sign).getBounds2D();
        double unit = drawn.get("size").asDouble() / 4 / MusicFont.UNITS_A_SPACE;
        return new Box(
                Integer.toHexString(sign),
                Kind.of(sign),
                new Rectangle2D.Double(
                        drawn.get("x").asDouble() + outline.getMinX() * unit,
                        drawn.get("y").asDouble() - outline.getMaxY() * unit,
                        outline.getWidth() * unit,
                        outline.getHeight() * unit));
    }

    /** Letters as high as capitals, and below the line where some are. */
    private static Box text(JsonNode drawn) {
        String text = drawn.get("text").asText();
        double size = drawn.get("size").asDouble();
        double high = 0.7 * size;
        double below = text.matches(".*[gjpqy,;()].*") ? 0.2 * size : 0;
        float wide = Type.FACES.width(Face.valueOf(drawn.get("face").asText()), (float) size, text);
        return new Box(
                text,
                Kind.TEXT,
                new Rectangle2D.Double(
                        drawn.get("x").asDouble(), drawn.get("y").asDouble() - high, wide, high + below));
    }
}
