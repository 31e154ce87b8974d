package underhand.server;

import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.greaterThan;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.hasSize;
import static org.hamcrest.Matchers.lessThan;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Readings, rungs and second guitars over HTTP. */
@ServerTest
class HarmonyCallsTest extends ArrangementCalls {

    private static final String SONG = "{\"chart\":{\"source\":\"key: Am\\n| Am | Dm | E7 | Am |\"},\"rung\":4%s}";

    private static String song(String more) {
        return SONG.formatted(more);
    }

    @Test
    void preview_placements_sayTheirFunction() throws Exception {
        call("preview", song(""))
                .andExpect(jsonPath("$.placements[2].function.words").value("the dominant"))
                .andExpect(jsonPath("$.placements[1].function.numeral").value("iv"))
                .andExpect(jsonPath("$.sections[0].key").value("A minor"))
                .andExpect(jsonPath("$.placements[0].reading.id").value("original"));
    }

    @Test
    void readings_ofADominantBeforeMinor_offerTheFlatNinthAndSayWhyNotTheNatural() throws Exception {
        call("readings", "{\"song\":" + song("") + ",\"placement\":2}")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.function").value("the dominant"))
                .andExpect(jsonPath("$.readings[*].id", hasItem("flat-nine")))
                .andExpect(jsonPath(
                        "$.readings[?(@.id=='flat-nine')].reason", hasItem("E7 leads to Am, so the ninth is flat.")))
                .andExpect(jsonPath("$.readings[?(@.id=='two-before-five')].chords.length()", hasItem(2)))
                .andExpect(jsonPath("$.refusals[?(@.rule=='ninths')].why", hasItem(containsString("natural"))));
    }

    @Test
    void preview_pinnedReading_isPlayedAndSaysWhy() throws Exception {
        call("preview", song(",\"readings\":[{\"placement\":2,\"reading\":\"two-before-five\",\"stand\":\"pinned\"}]"))
                .andExpect(jsonPath("$.placements", hasSize(5)))
                .andExpect(jsonPath("$.placements[2].chord").value("Bm7♭5"))
                .andExpect(jsonPath("$.placements[2].reading.original").value("E7"))
                .andExpect(jsonPath("$.placements[3].part").value(1))
                .andExpect(jsonPath("$.placements[3].placement").value(2))
                .andExpect(jsonPath("$.placements[3].reading.reason").value(containsString("before E7")));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "readings;{\"song\":%s,\"placement\":9};no chord at placement 9",
                "rungs;{\"song\":%s,\"section\":4};section must be 0 to 0",
                "second;{};song is missing",
                "second;{\"song\":%s};second is missing",
                "preview;{\"chart\":{\"source\":\"C G\"},\"readings\":[{\"placement\":0}]};names its reading",
                "preview;{\"chart\":{\"source\":\"C G\"},\"readings\":[{\"placement\":0,\"reading\":\"power\",\"stand\":\"maybe\"}]};stand must be",
                "preview;{\"chart\":{\"source\":\"C G\"},\"houseRules\":{\"fullness\":\"vast\"}};fullness must be one of",
                "preview;{\"chart\":{\"source\":\"C G\"},\"houseRules\":{\"motion\":7}};motion must be"
            })
    void anyCall_badInput_saysWhatIsWrong(String path, String body, String words) throws Exception {
        call(path, body.replace("%s", song("")))
                .andExpect(status().is(422))
                .andExpect(jsonPath("$.detail").value(containsString(words)));
    }

    @Test
    void second_besideAFirst_playsElsewhere() throws Exception {
        String song =
                "{\"chart\":{\"source\":\"key: G\\n| G | C | D | Em |\"},\"rung\":2,\"capo\":0,\"second\":{\"rung\":3}}";
        call("second", "{\"song\":" + song + "}")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.arrangement.placements", hasSize(4)))
                .andExpect(jsonPath("$.sharedPlaces").value(lessThan(0.2)))
                .andExpect(jsonPath("$.sharedPitches").value(lessThan(0.7)))
                .andExpect(jsonPath("$.registerSemitones").value(greaterThan(3.0)));
    }

    /** On every demo song each rung asks no less of a beginner, holds the song's tempo, keeps its limits, adds something, and keeps the capo. */
    @Test
    void rungs_everyDemoSong_goUp() throws Exception {
        JsonNode songs = json.readTree(
                mvc.perform(get("/api/v1/songs")).andReturn().getResponse().getContentAsByteArray());
        int climbed = 0;
        for (JsonNode summary : songs) {
            JsonNode song = json.readTree(mvc.perform(get("/api/v1/songs/" + summary.get("id")))
                    .andReturn()
                    .getResponse()
                    .getContentAsByteArray());
            if (song.get("source").asText().startsWith("title: Gate")) {
                continue;
            }
            ObjectNode body = json.createObjectNode();
            body.putObject("song")
                    .putObject("chart")
                    .put("source", song.get("source").asText());
            JsonNode steps = json.readTree(call("rungs", body.toString())
                    .andExpect(status().isOk())
                    .andReturn()
                    .getResponse()
                    .getContentAsByteArray());
            assertClimbs(song.get("title").asText(), steps);
            climbed++;
        }
        assertTrue(climbed >= 8);
    }

    private static void assertClimbs(String title, JsonNode steps) {
        assertEquals(5, steps.size());
        for (int i = 0; i < 5; i++) {
            JsonNode step = steps.get(i);
            assertFalse(step.get("adds").asText().isBlank(), title);
            for (JsonNode placement : step.get("arrangement").get("placements")) {
                boolean within = placement.get("grip").isNull()
                        ? placement.get("chord").isNull()
                        : placement.get("grip").get("rung").asInt() <= i + 1;
                assertTrue(within, title + " rung " + (i + 1) + ": " + placement.get("chord"));
            }
            if (i > 0) {
                JsonNode below = steps.get(i - 1);
                assertTrue(step.get("effort").asDouble() >= below.get("effort").asDouble(), title + " rung " + (i + 1));
                int held = Math.min(
                        below.get("arrangement").get("tempo").asInt(),
                        below.get("arrangement").get("fastestTempo").asInt());
                assertTrue(step.get("arrangement").get("fastestTempo").asInt() >= held, title + " rung " + (i + 1));
                int capo = step.at("/arrangement/capo/chosen").asInt();
                assertTrue(
                        capo == below.at("/arrangement/capo/chosen").asInt()
                                || step.get("adds").asText().contains("without a capo")
                                || below.at("/arrangement/capo/chosen").asInt() == 0,
                        title + ": one capo up the ladder, was " + capo);
            }
        }
    }
}
