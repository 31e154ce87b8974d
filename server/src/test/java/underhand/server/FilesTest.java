package underhand.server;

import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.matchesPattern;
import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.http.MediaType.APPLICATION_JSON;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Base64;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.sound.midi.MidiSystem;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.contentstream.operator.Operator;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSNumber;
import org.apache.pdfbox.pdfparser.PDFStreamParser;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;

/** Files that leave the house and come in. */
@ServerTest
class FilesTest {

    private static final String WORDS =
            "title: Slow Ökonomie, Part 1\nkey: Bb\ntempo: 66\n[Verse]\n[Bb]Slow water, [Gm7]carry the"
                    + " [Eb]day off my [F7]shoulder\n[Bb]All of the [Dm7b5]bridges\n[Chorus]\n| Bb | F | Gm | Eb |";

    @Autowired
    private MockMvc mvc;

    @Autowired
    private ObjectMapper json;

    private MockHttpServletResponse file(String format, String source, Map<String, Object> more) throws Exception {
        return file(format, source, "arpeggio-up", more);
    }

    private MockHttpServletResponse file(String format, String source, String pattern, Map<String, Object> more)
            throws Exception {
        Map<String, Object> order = new HashMap<>(more);
        order.put("format", format);
        Map<String, Object> song = new HashMap<>(
                Map.of("chart", Map.of("source", source), "rung", 3, "patterns", List.of(Map.of("pattern", pattern))));
        Stream.of("second", "player").filter(order::containsKey).forEach(who -> song.put(who, order.remove(who)));
        order.put("song", song);
        return mvc.perform(post("/api/v1/files").contentType(APPLICATION_JSON).content(json.writeValueAsBytes(order)))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse();
    }

    private static String pdfText(byte[] bytes) throws Exception {
        try (PDDocument document = Loader.loadPDF(bytes)) {
            for (PDPage page : document.getPages()) {
                for (COSName font : page.getResources().getFontNames()) {
                    assertTrue(page.getResources().getFont(font).isEmbedded(), font.getName());
                }
                assertTrue(!page.getResources().getXObjectNames().iterator().hasNext(), "no pictures, only vectors");
            }
            return new PDFTextStripper().getText(document);
        }
    }

    @ParameterizedTest
    @CsvSource({"words,a4,false,595", "words,letter,true,612", "tab,a4,false,595", "tab,letter,false,612"})
    void pdf_readByPdfBox_hasTitleWordsAndChords(String layout, String paper, boolean big, float width)
            throws Exception {
        byte[] bytes = file("pdf", WORDS, Map.of("layout", layout, "paper", paper, "big", big))
                .getContentAsByteArray();
        String text = pdfText(bytes);
        assertTrue(text.contains("Slow Ökonomie, Part 1"), text);
        assertTrue(text.contains("Verse") && text.contains("Chorus"), text);
        assertTrue(text.contains("66 beats a minute"), text);
        if (layout.equals("words")) {
            assertTrue(text.contains("carry the"), text);
        } else {
            String fingers = text.lines().filter(line -> line.matches("[pima]")).collect(Collectors.joining());
            assertTrue(fingers.startsWith("pimapima"), fingers + " in " + text);
        }
        try (PDDocument document = Loader.loadPDF(bytes)) {
            assertEquals(width, document.getPage(0).getMediaBox().getWidth(), 1);
        }
    }

    /** Words without chords stand in every file that has words. */
    @Test
    void wordsWithoutChords_standInEveryFile() throws Exception {
        String song = "[Verse 1]\n[G]Down the [D]stream\n[Verse 2]\nHeron on the water\n[Chorus]\n[C]Row";
        for (String layout : List.of("words", "tab")) {
            String page = pdfText(file("pdf", song, Map.of("layout", layout)).getContentAsByteArray());
            assertTrue(page.indexOf("Verse 2") < page.indexOf("Heron on the water"), page);
            assertTrue(page.indexOf("Heron on the water") < page.indexOf("Chorus"), page);
        }
        for (String format : List.of("tab", "musicxml", "chart")) {
            String text = file(format, song, Map.of()).getContentAsString(StandardCharsets.UTF_8);
            assertTrue(text.contains("Heron on the water") && text.contains("Verse 2"), text);
        }
    }

    /** Every row is five lines over six, and nothing is drawn outside the page; large type is all of it larger. */
    @ParameterizedTest
    @CsvSource({
        "beat-strum, false",
        "sixteenth-pick, false",
        "swing-thumb, false",
        "muted-eighths, false",
        "swing-four, false",
        "sixteenth-pick, true"
    })
    void pdf_staffAndTab_hasFiveLinesOverSix(String pattern, boolean big) throws Exception {
        float whole = big ? 1.45f : 1;
        byte[] bytes =
                file("pdf", WORDS, pattern, Map.of("layout", "tab", "big", big)).getContentAsByteArray();
        int rows = 0;
        try (PDDocument document = Loader.loadPDF(bytes)) {
            for (PDPage page : document.getPages()) {
                List<Float> lines = longLines(page);
                assertEquals(0, lines.size() % 11, lines.toString());
                // Where it saves a page all is set a little smaller.
                float scale = (lines.get(0) - lines.get(4)) / (4 * 4.6f);
                assertTrue(Math.abs(scale - whole) < 0.01 || Math.abs(scale - 0.88 * whole) < 0.01, "scale " + scale);
                for (int row = 0; row < lines.size(); row += 11) {
                    for (int line = 1; line < 11; line++) {
                        float gap = lines.get(row + line - 1) - lines.get(row + line);
                        assertTrue(
                                line == 5 ? gap > 12 : Math.abs(gap - scale * (line < 5 ? 4.6 : 7.5)) < 0.1,
                                "gap " + gap);
                    }
                }
                rows += lines.size() / 11;
            }
        }
        assertTrue(rows >= 2, "a row for each section");
        String text = pdfText(bytes);
        assertEquals(pattern.startsWith("swing"), text.contains("Verse · swing"), text);
        assertEquals(pattern.startsWith("muted"), text.contains("P.M."), text);
        assertTrue(text.contains("B♭"), text);
    }

    /** A strum has its frets once, and a bar like the one before is a sign; on demand every note is there. */
    @ParameterizedTest
    @CsvSource({"false, 8", "true, 24"})
    void pdf_staffAndTab_ofStrums_isShortUnlessWrittenOut(boolean writtenOut, int strokes) throws Exception {
        String song = "key: C\n| C | C | C |\n[B]\n| C | C | C |";
        Map<String, Object> look = Map.of("layout", "tab", "writtenOut", writtenOut);
        String text = pdfText(file("pdf", song, "beat-strum", look).getContentAsByteArray());
        assertEquals(strokes, text.chars().filter(c -> c == '↓').count(), text);
    }

    /** Heights of the lines across the page, from the top; everything drawn must be on the page. */
    private static List<Float> longLines(PDPage page) throws Exception {
        List<Float> heights = new ArrayList<>();
        List<Float> numbers = new ArrayList<>();
        float scale = 1;
        float fromX = 0;
        float fromY = 0;
        for (Object token : new PDFStreamParser(page).parse()) {
            if (token instanceof COSNumber number) {
                numbers.add(number.floatValue());
                continue;
            }
            int count = numbers.size();
            if (token instanceof Operator operator && count >= 2) {
                String name = operator.getName();
                if (name.equals("cm")) {
                    scale = numbers.get(0);
                }
                int first = name.equals("re") ? 0 : count - 2;
                float x = scale * numbers.get(first);
                float y = scale * numbers.get(first + 1);
                boolean drawn = List.of("m", "l", "re", "Td").contains(name);
                boolean onPage = x > 0
                        && x < page.getMediaBox().getWidth()
                        && y > 0
                        && y < page.getMediaBox().getHeight();
                assertTrue(!drawn || onPage, name + " at " + x + ", " + y);
                if (name.equals("l") && y == fromY && x - fromX > 150) {
                    heights.add(y);
                }
                fromX = x;
                fromY = y;
            }
            numbers.clear();
        }
        heights.sort(Comparator.reverseOrder());
        return heights;
    }

    /** The open C, its silent string at the left or, for a left-handed player, at the right. */
    @ParameterizedTest
    @CsvSource({"false, ×\\s*o\\s*o", "true, o\\s*o\\s*×"})
    void pdf_forALeftHandedPlayer_drawsGripsTheOtherWayRound(boolean leftHanded, String signs) throws Exception {
        Map<String, Object> song =
                Map.of("chart", Map.of("source", "| C |"), "rung", 1, "player", Map.of("leftHanded", leftHanded));
        byte[] bytes = mvc.perform(post("/api/v1/files")
                        .contentType(APPLICATION_JSON)
                        .content(json.writeValueAsBytes(Map.of("format", "pdf", "song", song))))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
        PDFTextStripper fromLeftToRight = new PDFTextStripper();
        fromLeftToRight.setSortByPosition(true);
        String text;
        try (PDDocument document = Loader.loadPDF(bytes)) {
            text = fromLeftToRight.getText(document);
        }
        assertTrue(Pattern.compile(signs).matcher(text).find(), text);
    }

    @Test
    void pdf_ofALongSong_breaksPagesBetweenLines() throws Exception {
        String song = "title: Long\n" + "[G]one two three [C]four five [D]six [G]seven\n".repeat(60);
        byte[] bytes = file("pdf", song, Map.of("layout", "words")).getContentAsByteArray();
        try (PDDocument document = Loader.loadPDF(bytes)) {
            assertTrue(document.getNumberOfPages() > 2);
        }
        assertEquals(60, pdfText(bytes).split("six", -1).length - 1);
    }

    @Test
    void pdf_withGlyphsNoFontHas_isWrittenAllTheSame() throws Exception {
        String song = "title: \uD83C\uDFB8 song\n[G]\u0001\uD83C\uDFB8 words [C]" + "verylongword".repeat(60);
        assertTrue(pdfText(file("pdf", song, Map.of()).getContentAsByteArray()).contains("words"));
    }

    @Test
    void allFiles_inOneZip_areThoseTakenOneByOne() throws Exception {
        MockHttpServletResponse response = file("all", WORDS, Map.of());
        assertTrue(response.getHeader("Content-Disposition").contains("filename"));
        List<String> names = new ArrayList<>();
        byte[] midi = null;
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(response.getContentAsByteArray()))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                names.add(entry.getName().replaceAll(".*Part 1\\.", ""));
                byte[] content = zip.readAllBytes();
                midi = entry.getName().endsWith(".mid") ? content : midi;
            }
        }
        assertTrue(
                names.containsAll(List.of("pdf", "musicxml", "mxl", "mid", "chart.txt", "tab.txt", "road.svg")),
                names.toString());
        assertTrue(names.stream().anyMatch(n -> n.startsWith("grips/")));
        assertArrayEquals(file("midi", WORDS, Map.of()).getContentAsByteArray(), midi);
        assertTrue(MidiSystem.getSequence(new ByteArrayInputStream(midi)).getTracks().length == 2);
    }

    @ParameterizedTest
    @ValueSource(strings = {"musicxml", "mxl", "chart"})
    void file_readAgain_isTheSameSong(String format) throws Exception {
        byte[] bytes = file(format, WORDS, Map.of()).getContentAsByteArray();
        String read = mvc.perform(post("/api/v1/files/read")
                        .contentType(APPLICATION_JSON)
                        .content(json.writeValueAsBytes(Map.of("file", bytes))))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString(StandardCharsets.UTF_8);
        String source = json.readTree(read).get("source").asText();
        assertEquals(
                chords(file("tab", WORDS, Map.of()).getContentAsString(StandardCharsets.UTF_8)),
                chords(file("tab", source, Map.of()).getContentAsString(StandardCharsets.UTF_8)));
        assertTrue(source.contains("carry the"), source);
    }

    private static List<String> chords(String tab) {
        return tab.lines()
                .filter(l -> l.matches("   +[A-G].*"))
                .map(String::strip)
                .toList();
    }

    @Test
    void secondGuitar_isInEveryScore() throws Exception {
        Map<String, Object> second = Map.of("second", Map.of("rung", 3));
        assertTrue(pdfText(file("pdf", WORDS, second).getContentAsByteArray()).contains("Second guitar"));
        String xml = file("musicxml", WORDS, second).getContentAsString(StandardCharsets.UTF_8);
        assertTrue(xml.contains("<part id=\"P2\">"));
        byte[] midi = file("midi", WORDS, second).getContentAsByteArray();
        assertEquals(3, MidiSystem.getSequence(new ByteArrayInputStream(midi)).getTracks().length);
    }

    @Test
    void midiTune_isASongOfItsOwn_orIsLaidOverOne() throws Exception {
        byte[] midi = file("midi", "key: C\n| C | F |", Map.of("second", Map.of("rung", 2)))
                .getContentAsByteArray();
        String alone = json.writeValueAsString(Map.of("file", midi));
        mvc.perform(post("/api/v1/files/read").contentType(APPLICATION_JSON).content(alone))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.source", matchesPattern("(?s).*N\\.C\\..*\ntune: [A-G]#?[0-9] .*")));
        for (int voice = 0; voice < 2; voice++) {
            String over = json.writeValueAsString(
                    Map.of("file", midi, "source", "key: C\n| C | F |", "voice", voice, "shift", 1));
            mvc.perform(post("/api/v1/files/read").contentType(APPLICATION_JSON).content(over))
                    .andExpect(status().isOk())
                    .andExpect(jsonPath("$.source", matchesPattern("(?s).*\ntune: -( -)* [A-G]#?[0-9].*")))
                    .andExpect(jsonPath("$.tune.voices.length()").value(2))
                    .andExpect(jsonPath("$.tune.voice").value(voice));
        }
        String none = json.writeValueAsString(Map.of("file", midi, "voice", 7));
        mvc.perform(post("/api/v1/files/read").contentType(APPLICATION_JSON).content(none))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail").value(containsString("voices 0 to 1")));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "{\"format\":\"exe\",\"song\":{\"chart\":{\"source\":\"| C |\"}}}; format must be pdf",
                "{\"format\":\"pdf\",\"paper\":\"a9\",\"song\":{\"chart\":{\"source\":\"| C |\"}}}; paper must be a4 or letter",
                "{\"format\":\"pdf\",\"layout\":\"x\",\"song\":{\"chart\":{\"source\":\"| C |\"}}}; layout must be words or tab",
                "{\"format\":\"pdf\"}; Send the format wanted and the song",
            })
    void orders_thatCannotBe_sayWhy(String order, String words) throws Exception {
        mvc.perform(post("/api/v1/files").contentType(APPLICATION_JSON).content(order))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail").value(containsString(words)));
    }

    @Test
    void emptySong_givesFilesToo() throws Exception {
        for (String format : List.of("pdf", "musicxml", "midi", "tab", "chart", "road", "grips", "all")) {
            assertTrue(file(format, "title: Nothing yet", Map.of()).getContentAsByteArray().length > 0, format);
        }
    }

    /** Any bytes are read or refused with a reason; nothing is stored. */
    @Test
    void hostileFiles_areReadOrRefused() throws Exception {
        Random random = new Random(5);
        String before =
                mvc.perform(get("/api/v1/songs")).andReturn().getResponse().getContentAsString();
        byte[][] seeds = {
            file("musicxml", WORDS, Map.of()).getContentAsByteArray(),
            file("mxl", WORDS, Map.of()).getContentAsByteArray(),
            file("midi", WORDS, Map.of()).getContentAsByteArray(),
            new byte[400]
        };
        for (int i = 0; i < 200; i++) {
            byte[] bytes = seeds[i % seeds.length].clone();
            for (int hits = 0; hits < 8; hits++) {
                bytes[random.nextInt(bytes.length)] = (byte) random.nextInt(256);
            }
            String body = "{\"file\":\"" + Base64.getEncoder().encodeToString(bytes) + "\",\"source\":\"| C |\"}";
            MockHttpServletResponse response = mvc.perform(post("/api/v1/files/read")
                            .contentType(APPLICATION_JSON)
                            .content(body))
                    .andReturn()
                    .getResponse();
            assertTrue(response.getStatus() == 200 || response.getStatus() == 422, "status " + response.getStatus());
            JsonNode answer = json.readTree(response.getContentAsString(StandardCharsets.UTF_8));
            assertTrue(answer.has("source") || !answer.get("detail").asText().isBlank());
        }
        assertEquals(
                before,
                mvc.perform(get("/api/v1/songs")).andReturn().getResponse().getContentAsString());
    }
}
