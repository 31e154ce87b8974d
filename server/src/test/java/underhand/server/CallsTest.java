package underhand.server;

import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.greaterThan;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.hasSize;
import static org.hamcrest.Matchers.lessThanOrEqualTo;
import static org.springframework.http.MediaType.APPLICATION_JSON;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.time.Duration;
import java.util.Random;
import org.junit.jupiter.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;

/** The calls of the API whose names and fields are fixed, and what they say to bad input. */
@ServerTest
class CallsTest {

    @Autowired
    private MockMvc mvc;

    private ResultActions call(String path, String body) throws Exception {
        return mvc.perform(post("/api/v1" + path).contentType(APPLICATION_JSON).content(body));
    }

    @Test
    void parse_chord_givesItsTones() throws Exception {
        call("/chords/parse", "{\"symbol\":\"F#m7b5/A\"}")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.symbol").value("F♯m7♭5/A"))
                .andExpect(jsonPath("$.root").value("F#"))
                .andExpect(jsonPath("$.bass").value("A"))
                .andExpect(jsonPath("$.tones[2].note").value("C"))
                .andExpect(jsonPath("$.tones[2].interval").value("d5"));
    }

    @Test
    void identify_shape_givesItsNames() throws Exception {
        call("/shapes/identify", "{\"frets\":\"x7577x\"}")
                .andExpect(jsonPath("$.notes").isArray())
                .andExpect(jsonPath("$.names[0].symbol").value("Em9"))
                .andExpect(jsonPath("$.names[0].missing[0]").value("P5"));
        call("/shapes/identify", "{\"frets\":[null,3,2,0,1,0],\"capo\":2}")
                .andExpect(jsonPath("$.names[0].symbol").value("D"));
        call("/shapes/identify", "{\"frets\":\"xx5558\",\"bass\":\"A\"}")
                .andExpect(jsonPath("$.names[0].symbol").value("Am7"));
        call("/shapes/identify", "{\"frets\":\"5-5-9-x-x-x\",\"tuning\":\"D2 A2 D3 G3 B3 E4\"}")
                .andExpect(jsonPath("$.names[0].symbol").value("G"));
    }

    @Test
    void search_chord_givesItsGripsCheapestFirst() throws Exception {
        call("/grips/search", "{\"chord\":\"F\",\"rung\":3,\"limit\":40}")
                .andExpect(jsonPath("$.total").value(greaterThan(40)))
                .andExpect(jsonPath("$.grips", hasSize(40)))
                .andExpect(jsonPath("$.grips[*].shape", hasItem("133211")))
                .andExpect(jsonPath("$.grips[?(@.shape=='133211' && @.barres[0].to==5)].fingers[0]", hasItem("1")));
        call("/grips/search", "{\"chord\":\"Am7\",\"rung\":2,\"limit\":1}")
                .andExpect(jsonPath("$.grips[0].frets[0]").isEmpty())
                .andExpect(jsonPath("$.grips[0].effort.terms[0].name").value("fingers"));
    }

    @Test
    void preview_song_givesCapoGripsChangesAndPrices() throws Exception {
        call("/arrangements/preview", preview("\"rung\":1,\"setting\":\"alone\",\"capo\":\"auto\""))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.key").value("A major"))
                .andExpect(jsonPath("$.capo.chosen").value(2))
                .andExpect(jsonPath("$.capo.candidates", hasSize(10)))
                .andExpect(jsonPath("$.capo.candidates[2].barres").value(0))
                .andExpect(jsonPath("$.capo.candidates[2].reasons", hasItem("no barres")))
                .andExpect(jsonPath("$.placements[0].chord").value("A"))
                .andExpect(jsonPath("$.placements[0].played").value("G"))
                .andExpect(jsonPath("$.placements[0].degree").value("I"))
                .andExpect(jsonPath("$.placements[0].lyric").value("Morning on the"))
                .andExpect(jsonPath("$.placements[0].alternatives.length()").value(greaterThan(2)))
                .andExpect(jsonPath("$.changes[0].acts[0].act").exists())
                .andExpect(jsonPath("$.changes[0].neededSeconds").value(greaterThan(0.0)))
                .andExpect(jsonPath("$.total").value(greaterThan(0.0)))
                .andExpect(jsonPath("$.fastestTempo").value(greaterThan(20)));
    }

    @Test
    void preview_capoAndLock_areKept() throws Exception {
        call("/arrangements/preview", preview("\"capo\":5,\"locks\":[{\"placement\":0,\"frets\":\"022100\"}]"))
                .andExpect(jsonPath("$.capo.chosen").value(5))
                .andExpect(jsonPath("$.capo.leastEffort").value(2))
                .andExpect(jsonPath("$.placements[0].grip.shape").value("022100"))
                .andExpect(jsonPath("$.placements[0].locked").value(true));
    }

    @Test
    void preview_smallHand_changesTheGrips() throws Exception {
        call("/arrangements/preview", preview("\"rung\":3,\"player\":{\"comfortableMm\":60,\"widestMm\":80}"))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.placements[0].grip.spanMm").value(lessThanOrEqualTo(80.0)));
    }

    @Test
    void preview_chartWithAFault_keepsTheRest() throws Exception {
        call("/arrangements/preview", "{\"chart\":{\"format\":\"text\",\"source\":\"[A]One [Gmaf7]two [D]three\"}}")
                .andExpect(jsonPath("$.placements", hasSize(3)))
                .andExpect(jsonPath("$.faults[0].kind").value("unread"))
                .andExpect(jsonPath("$.faults[0].line").value(1))
                .andExpect(jsonPath("$.faults[0].column").value(9))
                .andExpect(jsonPath("$.faults[0].suggestion").value("Gmaj7"));
    }

    @Test
    void preview_regionLock_keepsTheHandThere() throws Exception {
        call(
                        "/arrangements/preview",
                        preview(
                                "\"rung\":4,\"capo\":0,\"locks\":[{\"placement\":0,\"lowestFret\":5,\"highestFret\":8}]"))
                .andExpect(jsonPath("$.placements[0].locked").value(true))
                .andExpect(jsonPath("$.placements[0].grip.frets[?(@ > 0 && @ < 5)]")
                        .isEmpty());
    }

    @Test
    void preview_transposed_movesChordsAndKey() throws Exception {
        call("/arrangements/preview", preview("\"transpose\":-2,\"capo\":0"))
                .andExpect(jsonPath("$.key").value("G major"))
                .andExpect(jsonPath("$.placements[2].chord").value("Em"));
    }

    @Test
    void alternatives_ofAPlace_areAllOfThem() throws Exception {
        String song = preview("\"rung\":3,\"capo\":0");
        String first =
                call("/arrangements/preview", song).andReturn().getResponse().getContentAsString();
        call("/arrangements/alternatives", "{\"song\":" + song + ",\"index\":1}")
                .andExpect(jsonPath("$", hasSize(greaterThan(20))))
                .andExpect(jsonPath("$[0].price")
                        .value((Double) JsonPath.read(first, "$.placements[1].alternatives[0].price")));
    }

    /** The tune goes a ninth, from A3 to B4; only keys that keep it between G3 and B4 are given. */
    @Test
    void keys_forASinger_areThoseTheVoiceReaches() throws Exception {
        String song = preview("\"rung\":2");
        call("/arrangements/keys", "{\"song\":" + song + "}").andExpect(jsonPath("$", hasSize(12)));
        call(
                        "/arrangements/keys",
                        "{\"song\":" + song + ",\"tune\":{\"lowest\":\"A3\",\"highest\":\"B4\"},"
                                + "\"voice\":{\"lowest\":\"G3\",\"highest\":\"B4\"}}")
                .andExpect(jsonPath("$", hasSize(3)))
                .andExpect(jsonPath("$[*].key", hasItem("G major")))
                .andExpect(jsonPath("$[0].capo.reasons").isNotEmpty());
    }

    private static String preview(String more) {
        return "{\"chart\":{\"format\":\"text\",\"source\":\"[A]Morning on the [E]towpath [F#m]nobody [D]up\"}," + more
                + "}";
    }

    /** Bad input gets a problem detail that says what and where. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "/chords/parse;{\"symbol\":\"Hm7\"};422;a chord starts with its root",
                "/chords/parse;{\"symbol\":\"C7sus5\"};422;is not a known suffix",
                "/chords/parse;{};422;symbol is missing",
                "/chords/parse;{\"symbl\":\"C\"};400;There is no field \"symbl\"",
                "/chords/parse;{nope;400;no JSON",
                "/chords/parse;;400;body is missing",
                "/chords/parse;[];400;no JSON",
                "/shapes/identify;{\"frets\":\"x32q10\"};422;neither a fret",
                "/shapes/identify;{\"frets\":[1,2,3]};422;3 strings",
                "/shapes/identify;{\"frets\":[1,2,3,\"a\"]};422;a fret is 0 to 36",
                "/shapes/identify;{\"frets\":\"x320\"};422;the tuning 6",
                "/shapes/identify;{};422;frets is missing",
                "/shapes/identify;{\"frets\":\"x32010\",\"tuning\":\"E A\"};422;a tuning names",
                "/shapes/identify;{\"frets\":\"x32010\",\"bass\":\"H\"};422;a note starts with A to G",
                "/shapes/identify;{\"frets\":\"x32010\",\"capo\":99};422;capo must be",
                "/grips/search;{\"chord\":\"C\",\"rung\":9};422;rung must be 1 to 5",
                "/grips/search;{\"chord\":\"C\",\"setting\":\"choir\"};422;setting must be",
                "/grips/search;{\"chord\":\"C\",\"limit\":-1};422;limit must be",
                "/arrangements/preview;{};422;chart.source is missing",
                "/arrangements/preview;{\"chart\":{\"format\":\"pdf\",\"source\":\"C\"}};422;must be text",
                "/arrangements/preview;{\"chart\":{\"source\":\"C G\"},\"capo\":12};422;capo must be 0 to 11",
                "/arrangements/preview;{\"chart\":{\"source\":\"C G\"},\"capo\":\"high\"};422;capo must be",
                "/arrangements/preview;{\"chart\":{\"source\":\"C G\"},\"tempo\":1};422;tempo must be",
                "/arrangements/preview;{\"chart\":{\"source\":\"C G\"},\"rung\":\"two\"};400;rung",
                "/arrangements/preview;{\"chart\":{\"source\":\"C G\"},\"locks\":[{\"placement\":7,\"frets\":\"x\"}]};422;placement",
                "/arrangements/preview;{\"chart\":{\"source\":\"C G\"},\"player\":{\"widestMm\":5}};422;widest",
                "/arrangements/preview;{\"chart\":{\"source\":\"C G\"},\"transpose\":12};422;transpose must be",
                "/arrangements/preview;{\"chart\":{\"source\":\"C G\"},\"locks\":[{\"placement\":0,\"lowestFret\":3}]};422;both",
                "/arrangements/preview;{\"chart\":{\"source\":\"C G\"},\"locks\":[{\"placement\":0,\"lowestFret\":3,\"highestFret\":1}]};422;region",
                "/arrangements/keys;{};422;song is missing",
                "/arrangements/keys;{\"song\":{\"chart\":{\"source\":\"C G\"}},\"tune\":{\"lowest\":\"A3\"}};422;or neither",
                "/arrangements/keys;{\"song\":{\"chart\":{\"source\":\"C G\"}},\"tune\":{\"lowest\":\"A3\",\"highest\":\"A5\"},\"voice\":{\"lowest\":\"A3\",\"highest\":\"C4\"}};422;spans 24",
                "/arrangements/keys;{\"song\":{\"chart\":{\"source\":\"C G\"}},\"tune\":{\"lowest\":\"A5\",\"highest\":\"A3\"},\"voice\":{\"lowest\":\"A3\",\"highest\":\"C4\"}};422;lies below",
                "/arrangements/alternatives;{\"song\":{\"chart\":{\"source\":\"C G\"}},\"index\":2};422;index must be 0 to 1"
            })
    void anyCall_badInput_saysWhatIsWrong(String path, String body, int status, String words) throws Exception {
        call(path, body == null ? "" : body)
                .andExpect(status().is(status))
                .andExpect(content().contentType("application/problem+json"))
                .andExpect(jsonPath("$.status").value(status))
                .andExpect(jsonPath("$.detail").value(containsString(words)));
    }

    @Test
    void parse_badSymbol_pointsAtTheTrouble() throws Exception {
        call("/chords/parse", "{\"symbol\":\"C7sus5\"}")
                .andExpect(jsonPath("$.line").value(1))
                .andExpect(jsonPath("$.column").value(6))
                .andExpect(jsonPath("$.input").value("C7sus5"));
    }

    @Test
    void preview_tooLargeChart_isRefusedWithTheLimit() throws Exception {
        call("/arrangements/preview", "{\"chart\":{\"source\":\"" + "G ".repeat(140_000) + "\"}}")
                .andExpect(status().is(413))
                .andExpect(jsonPath("$.detail").value(containsString("262144")));
        call("/arrangements/preview", "{\"chart\":{\"source\":\"" + "G ".repeat(2001) + "\"}}")
                .andExpect(status().is(422))
                .andExpect(jsonPath("$.detail").value(containsString("2000")));
    }

    @Test
    void anyCall_tooLargeBody_isRefusedWithTheLimit() throws Exception {
        call("/chords/parse", "{\"symbol\":\"" + "C".repeat(5 * 1024 * 1024) + "\"}")
                .andExpect(status().is(413));
    }

    @Test
    void anyAnswer_carriesTheSecurityHeaders() throws Exception {
        mvc.perform(get("/api/v1/rungs"))
                .andExpect(header().string("X-Content-Type-Options", "nosniff"))
                .andExpect(header().string("Content-Security-Policy", containsString("default-src 'self'")))
                .andExpect(jsonPath("$", hasSize(5)));
        mvc.perform(get("/api/v1/nothing/here")).andExpect(status().isNotFound());
    }

    /** Seeded garbage in every field: always an answer, never a 500, never slow. */
    @Test
    void anyCall_seededGarbage_isAnswered() {
        Random random = new Random(9457);
        String[] values = {
            "null",
            "0",
            "-1",
            "1e99",
            "\"\"",
            "\"x\"",
            "[]",
            "{}",
            "true",
            "\"C\"",
            "\"𝄪\"",
            "[[[[]]]]",
            "\"\\u0000\"",
            "99999999999",
            "\"E2 A2 D3 G3\"",
            "[null,0,99]",
            "\"auto\"",
            "\"[C]la | % :| x9\""
        };
        String[] paths = {
            "/chords/parse",
            "/shapes/identify",
            "/grips/search",
            "/arrangements/preview",
            "/songs",
            "/arrangements/keys",
            "/arrangements/alternatives",
            "/players",
            "/guitars",
            "/parts/preview",
            "/parts/patterns",
            "/parts/fills",
            "/parts/variation",
            "/parts/engraving",
            "/picking-patterns/check",
            "/own-patterns",
            "/own-tunings",
            "/files",
            "/files/read",
            "/charts/chords",
            "/charts/intro"
        };
        String[] fields = {
            "symbol",
            "frets",
            "chord",
            "chart",
            "rung",
            "capo",
            "tuning",
            "locks",
            "source",
            "player",
            "song",
            "index",
            "tune",
            "voice",
            "limits",
            "build",
            "houseRules",
            "transpose",
            "patterns",
            "tuning",
            "strings",
            "fills",
            "own",
            "steps",
            "metre",
            "name",
            "file",
            "format",
            "index"
        };
        for (int i = 0; i < 2000; i++) {
            StringBuilder body = new StringBuilder("{");
            for (int n = random.nextInt(4); n > 0; n--) {
                body.append(body.length() > 1 ? "," : "")
                        .append('"')
                        .append(fields[random.nextInt(fields.length)])
                        .append("\":")
                        .append(values[random.nextInt(values.length)]);
            }
            String path = paths[random.nextInt(paths.length)];
            String text = body.append(random.nextInt(20) == 0 ? "" : "}").toString();
            Assertions.assertTimeout(Duration.ofSeconds(2), () -> {
                int answer = call(path, text).andReturn().getResponse().getStatus();
                Assertions.assertTrue(answer < 500, path + " " + text + " gave " + answer);
            });
        }
    }
}
