package underhand.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.http.MediaType.APPLICATION_JSON;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.request;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.core.io.ClassPathResource;
import org.springframework.http.HttpMethod;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.MockMvc;

/**
 * Sends what nobody should to every call of the API: bodies grown from its description and then spoilt, charts, scores and
 * tunes with bytes changed. Nothing gives a server error, every error is a problem detail, nothing takes long. {@code
 * ./underhand fuzz} sends 10,000; the tests a seeded sample.
 */
@ServerTest
@TestPropertySource(properties = "spring.datasource.url=jdbc:h2:mem:changed")
class FuzzTest {

    private static final int INPUTS = Integer.getInteger("fuzz.inputs", 400);
    private static final long SEED = Long.getLong("fuzz.seed", 13);
    private static final double MOST_SECONDS = 2;

    /** Charts here have at most so many bars; a call that plans one many times, or several songs, may take longer. */
    private static final List<String> MANY_SONGS = List.of(
            "/arrangements/keys",
            "/arrangements/tunings",
            "/arrangements/rungs",
            "/efforts",
            "/drills/plan",
            "/drills/timed",
            "/drills/curves",
            "/drills/forecast");

    private static final List<String> WORDS = List.of(
            "",
            " ",
            "A",
            "x32010",
            "auto",
            "null",
            "E2 A2 D3 G3 B3 E4",
            "C#m7b5/G",
            "4/4",
            "r l m h",
            "D U",
            "pinned",
            "1-2",
            "alone",
            "bass",
            "\u0000",
            "😀",
            "[G]la [D",
            "| C | % |:",
            "a".repeat(5000),
            "-1",
            "1e9",
            "../../etc",
            "%s%n",
            "'");

    private static final List<String> NUMBERS = List.of(
            "0",
            "1",
            "2",
            "3",
            "5",
            "-1",
            "12",
            "255",
            "1e9",
            "-2147483648",
            "2147483648",
            "9e99",
            "0.5",
            "-0.0",
            "NaN");

    @Autowired
    private MockMvc mvc;

    @Autowired
    private ObjectMapper json;

    private final Random random = new Random(SEED);
    private JsonNode api;
    private final Map<Integer, Integer> answers = new TreeMap<>();

    private record Call(HttpMethod method, String path, JsonNode schema) {}

    @Test
    void whateverIsSent_isAnsweredInWords() throws Exception {
        api = json.readTree(new ClassPathResource("api/openapi.json").getContentAsByteArray());
        List<Call> calls = calls();
        double longest = 0;
        for (int i = 0; i < INPUTS; i++) {
            boolean isFile = i % 4 == 3;
            Call call = isFile ? null : calls.get(random.nextInt(calls.size()));
            String path = isFile ? "/api/v1/files/read" : filled(call.path());
            byte[] body = isFile ? file() : body(call);
            String of = "seed " + SEED + ", input " + i + ": " + path + " " + shortened(body);
            long start = System.nanoTime();
            MockHttpServletResponse response = send(isFile ? HttpMethod.POST : call.method(), path, body);
            double seconds = (System.nanoTime() - start) / 1e9;
            longest = Math.max(longest, seconds);
            answers.merge(response.getStatus(), 1, Integer::sum);
            assertTrue(
                    response.getStatus() < 500,
                    response.getStatus() + " " + response.getContentAsString() + " for " + of);
            if (response.getStatus() >= 400) {
                assertEquals("application/problem+json", response.getContentType(), of);
                assertTrue(json.readTree(response.getContentAsByteArray()).hasNonNull("detail"), of);
            }
            boolean isLong = MANY_SONGS.stream().anyMatch(path::contains);
            assertTrue(seconds < (isLong ? 5 : 1) * MOST_SECONDS, seconds + " s for " + of);
        }
        System.out.printf("fuzz: %d inputs, answers by status %s, longest %.2f s%n", INPUTS, answers, longest);
        assertTrue(answers.getOrDefault(200, 0) > INPUTS / 20, "hardly anything is taken: " + answers);
    }

    private MockHttpServletResponse send(HttpMethod method, String path, byte[] body) throws Exception {
        return mvc.perform(request(method, java.net.URI.create(path))
                        .header("Host", "localhost")
                        .contentType(APPLICATION_JSON)
                        .content(body))
                .andReturn()
                .getResponse();
    }

    private List<Call> calls() {
        List<Call> calls = new ArrayList<>();
        api.get("paths")
                .properties()
                .forEach(path -> path.getValue().properties().forEach(method -> {
                    JsonNode schema = method.getValue().at("/requestBody/content/application~1json/schema");
                    calls.add(new Call(
                            HttpMethod.valueOf(method.getKey().toUpperCase(java.util.Locale.ROOT)),
                            path.getKey(),
                            schema));
                }));
        calls.removeIf(c -> c.path().contains("restore")
                || c.path().contains("backup")
                || c.path().contains("licences"));
        return calls;
    }

    private String filled(String path) {
        String ids = path;
        while (ids.contains("{")) {
            ids = ids.replaceFirst(
                    "\\{[^}]*}",
                    List.of("1", "2", "0", "-7", "99999999999", "x").get(random.nextInt(6)));
        }
        return ids;
    }

    private byte[] body(Call call) throws IOException {
        if (call.schema().isMissingNode()) {
            return new byte[0];
        }
        JsonNode grown = grown(call.schema(), "", 0);
        for (int spoilt = random.nextInt(3); spoilt > 0; spoilt--) {
            spoil(grown);
        }
        byte[] bytes = json.writeValueAsBytes(grown);
        return random.nextInt(12) == 0 ? changed(bytes) : bytes;
    }

    /** A value as the description of the API has it. */
    private JsonNode grown(JsonNode schema, String name, int depth) {
        JsonNode type = schema.has("$ref") ? api.at(schema.get("$ref").asText().substring(1)) : schema;
        if (type.has("allOf")) {
            type = api.at(type.at("/allOf/0/$ref").asText().substring(1));
        }
        if (type.has("properties") && depth < 6) {
            ObjectNode object = json.createObjectNode();
            int deeper = depth + 1;
            type.get("properties").properties().forEach(property -> {
                boolean isCore = List.of("chart", "source", "song", "first", "second", "chord", "symbol", "frets")
                        .contains(property.getKey());
                if (isCore || random.nextInt(3) == 0) {
                    object.set(property.getKey(), grown(property.getValue(), property.getKey(), deeper));
                }
            });
            return object;
        }
        if (type.has("items") && depth < 6) {
            ArrayNode array = json.createArrayNode();
            for (int i = random.nextInt(3); i > 0; i--) {
                array.add(grown(type.get("items"), name, depth + 1));
            }
            return array;
        }
        if (type.has("enum")) {
            return type.get("enum").get(random.nextInt(type.get("enum").size()));
        }
        return switch (type.path("type").asText()) {
            case "integer" -> json.getNodeFactory().numberNode(random.nextInt(12));
            case "number" -> json.getNodeFactory().numberNode(random.nextInt(200) / 2.0);
            case "boolean" -> json.getNodeFactory().booleanNode(random.nextBoolean());
            default -> json.getNodeFactory().textNode(text(name));
        };
    }

    private String text(String name) {
        return switch (name) {
            case "source" -> chart();
            case "format" ->
                List.of("text", "pdf", "musicxml", "mxl", "midi", "tab", "road", "grips")
                        .get(random.nextInt(8));
            case "frets" -> List.of("x32010", "x-7-6-8-x-x", "320003", "xx").get(random.nextInt(4));
            case "chord", "symbol" -> List.of("Am7", "F#m7b5/A", "C", "Hm", "Q").get(random.nextInt(5));
            case "setting" -> List.of("alone", "singer", "bass", "second").get(random.nextInt(4));
            case "tuning" -> List.of("E2 A2 D3 G3 B3 E4", "D2 A2 D3 G3 B3 E4").get(random.nextInt(2));
            default -> WORDS.get(random.nextInt(WORDS.size()));
        };
    }

    private String chart() {
        String[] chords = {"C", "G7", "Am7", "F", "Dm", "E7", "Bm7b5", "%", "N.C.", "Zz", "C G", "D . . G"};
        StringBuilder text = new StringBuilder(random.nextBoolean() ? "title: Fuzz\ntempo: 90\n[Verse]\n" : "");
        for (int bar = random.nextInt(20); bar >= 0; bar--) {
            text.append("| ")
                    .append(chords[random.nextInt(chords.length)])
                    .append(bar % 4 == 0 ? " |\nla la la\n" : " ");
        }
        String chart = text.toString();
        return random.nextInt(3) == 0
                ? new String(changed(chart.getBytes(StandardCharsets.UTF_8)), StandardCharsets.UTF_8)
                : chart;
    }

    /** Puts something else in the place of one value. */
    private void spoil(JsonNode node) {
        if (node instanceof ObjectNode object && !object.isEmpty()) {
            List<String> names = new ArrayList<>();
            object.fieldNames().forEachRemaining(names::add);
            String name = names.get(random.nextInt(names.size()));
            if (object.get(name).isContainerNode() && random.nextInt(4) > 0) {
                spoil(object.get(name));
            } else if (random.nextInt(8) == 0) {
                object.put("noSuchField", 1);
            } else {
                object.set(name, other());
            }
        } else if (node instanceof ArrayNode array && !array.isEmpty()) {
            array.set(random.nextInt(array.size()), other());
        }
    }

    private JsonNode other() {
        return switch (random.nextInt(5)) {
            case 0 -> json.nullNode();
            case 1 -> json.createArrayNode().add(json.nullNode());
            case 2 -> json.createObjectNode().put("x", true);
            case 3 -> number();
            default -> json.getNodeFactory().textNode(WORDS.get(random.nextInt(WORDS.size())));
        };
    }

    private JsonNode number() {
        String number = NUMBERS.get(random.nextInt(NUMBERS.size()));
        return number.equals("NaN")
                ? json.getNodeFactory().textNode(number)
                : json.getNodeFactory().numberNode(new java.math.BigDecimal(number));
    }

    private byte[] changed(byte[] bytes) {
        byte[] changed = bytes.clone();
        for (int i = random.nextInt(6); i >= 0 && changed.length > 0; i--) {
            changed[random.nextInt(changed.length)] =
                    (byte) (random.nextBoolean() ? random.nextInt(256) : "[]{}|:\"\n".charAt(random.nextInt(8)));
        }
        return random.nextInt(5) == 0 ? java.util.Arrays.copyOf(changed, random.nextInt(changed.length + 1)) : changed;
    }

    private byte[] file() {
        byte[] bytes = switch (random.nextInt(4)) {
            case 0 -> chart().getBytes(StandardCharsets.UTF_8);
            case 1 -> score().getBytes(StandardCharsets.UTF_8);
            case 2 -> tune();
            default -> new byte[random.nextInt(300)];
        };
        byte[] sent = random.nextInt(3) == 0 ? bytes : changed(bytes);
        ObjectNode body =
                json.createObjectNode().put("file", Base64.getEncoder().encodeToString(sent));
        if (random.nextBoolean()) {
            body.put("source", chart());
        }
        try {
            return json.writeValueAsBytes(body);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static String score() {
        return "<score-partwise version=\"4.0\"><part-list><score-part id=\"P1\"><part-name>G</part-name></score-part></part-list>"
                + "<part id=\"P1\"><measure number=\"1\"><attributes><divisions>2</divisions><time><beats>4</beats>"
                + "<beat-type>4</beat-type></time></attributes><direction><direction-type><rehearsal>A</rehearsal></direction-type>"
                + "</direction><harmony><root><root-step>C</root-step></root><kind>major</kind></harmony><note><pitch><step>E</step>"
                + "<octave>4</octave></pitch><duration>8</duration><lyric><text>la</text></lyric></note><barline><ending number=\"1,2\""
                + " type=\"start\"/><repeat direction=\"backward\" times=\"3\"/></barline></measure></part></score-partwise>";
    }

    private static byte[] tune() {
        return new byte[] {
            'M',
            'T',
            'h',
            'd',
            0,
            0,
            0,
            6,
            0,
            0,
            0,
            1,
            0,
            96,
            'M',
            'T',
            'r',
            'k',
            0,
            0,
            0,
            12,
            0,
            (byte) 0x90,
            60,
            64,
            96,
            (byte) 0x80,
            60,
            0,
            0,
            (byte) 0xFF,
            0x2F,
            0
        };
    }

    private static String shortened(byte[] body) {
        String text = new String(body, StandardCharsets.UTF_8);
        return text.length() <= 1500 ? text : text.substring(0, 1500) + "…";
    }
}
