package underhand.server;

import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.not;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.fasterxml.jackson.databind.JsonNode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.test.web.servlet.ResultActions;

/** What the player decides of shapes, fingers, voice and right hand, over HTTP. */
@ServerTest
class OwnShapeCallsTest extends ArrangementCalls {

    private static final String SONG =
            "{\"chart\":{\"source\":\"key: G\\ntempo: 96\\n[G]mist on the [D]lock and the [Em]kettle [C]on\"},\"rung\":%d,\"capo\":0%s}";

    private JsonNode read(ResultActions result) throws Exception {
        return json.readTree(
                result.andExpect(status().isOk()).andReturn().getResponse().getContentAsByteArray());
    }

    private static String song(int rung, String more) {
        return SONG.formatted(rung, more);
    }

    @Test
    void trial_ofAShape_namesFingersAndPricesItAsTheLockThenCosts() throws Exception {
        double free =
                read(call("preview?alternatives=0", song(2, ""))).get("total").asDouble();
        JsonNode trial = read(call(
                "trial", "{\"song\":" + song(2, "") + ",\"index\":0,\"frets\":\"320033\",\"fingers\":\"21--34\"}"));
        assertEquals("G", trial.get("names").get(0).asText());
        assertEquals(
                "[\"2\",\"1\",null,null,\"3\",\"4\"]", trial.at("/grip/fingers").toString());
        assertEquals("", trial.get("word").asText());
        String lock =
                ",\"locks\":[{\"placement\":0,\"frets\":\"320033\",\"fingers\":[\"2\",\"1\",null,null,\"3\",\"4\"]}]";
        JsonNode locked = read(call("preview?alternatives=0", song(2, lock)));
        assertEquals("320033", locked.at("/placements/0/grip/shape").asText());
        assertEquals(
                "[\"2\",\"1\",null,null,\"3\",\"4\"]",
                locked.at("/placements/0/grip/fingers").toString());
        assertTrue(locked.at("/placements/0/locked").asBoolean());
        if (locked.at("/rightHand/pattern")
                .equals(read(call("preview?alternatives=0", song(2, ""))).at("/rightHand/pattern"))) {
            assertEquals(
                    locked.get("total").asDouble() - free, trial.get("price").asDouble(), 0.01);
        }
    }

    @Test
    void trial_ofAShapeBeyondTheRung_isTakenWithAWord() throws Exception {
        JsonNode trial = read(call("trial", "{\"song\":" + song(1, "") + ",\"index\":0,\"frets\":\"355433\"}"));
        assertTrue(
                trial.get("word").asText().contains("belongs on rung"),
                trial.get("word").asText());
        assertEquals("355433", trial.at("/grip/shape").asText());
        read(call("preview", song(1, ",\"locks\":[{\"placement\":0,\"frets\":\"355433\"}]")));
        JsonNode wide = read(call("trial", "{\"song\":" + song(1, "") + ",\"index\":0,\"frets\":\"1-x-x-x-x-12\"}"));
        assertTrue(wide.get("grip").isNull());
        assertTrue(wide.get("word").asText().contains("No hand"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "320003; 21--3; has 6 strings", "320003; 212--3; no finger presses", "320003; 22---3; two frets",
                "320003; 2----3; say with which finger", "320003; 29---3; 1 to 4, T for the thumb",
                        "32003; null; 5 strings",
            })
    void trial_ofFingersThatCannotBe_saysWhere(String frets, String fingers, String words) throws Exception {
        String sent = fingers.equals("null") ? "null" : "\"" + fingers + "\"";
        call("trial", "{\"song\":" + song(2, "") + ",\"index\":0,\"frets\":\"" + frets + "\",\"fingers\":" + sent + "}")
                .andExpect(status().is(422))
                .andExpect(jsonPath("$.detail").value(containsString(words)));
    }

    /** The other fingers of a shape cost what the song then costs with them. */
    @Test
    void fingerings_ofAPlace_areOfTheSameShapeWithTheirPrices() throws Exception {
        JsonNode part = read(call("preview?alternatives=3", song(2, "")));
        JsonNode others = read(call("fingerings", "{\"song\":" + song(2, "") + ",\"index\":0}"));
        assertTrue(others.size() > 0);
        for (int i = 0; i < Math.min(3, others.size()); i++) {
            assertEquals(others.get(i), part.at("/placements/0/fingerings/" + i));
        }
        double before = Double.NEGATIVE_INFINITY;
        for (JsonNode other : others) {
            assertEquals(part.at("/placements/0/grip/shape"), other.at("/grip/shape"));
            assertTrue(!part.at("/placements/0/grip/fingers").equals(other.at("/grip/fingers")));
            assertTrue(other.get("price").asDouble() >= before);
            before = other.get("price").asDouble();
        }
    }

    @Test
    void preview_withoutPatterns_namesTheRightHandAndLeavesTime() throws Exception {
        JsonNode part = read(call("preview", song(1, "")));
        assertTrue(
                part.at("/rightHand/reason").asText().contains("in time"),
                part.at("/rightHand").toString());
        assertEquals(false, part.at("/rightHand/sections/0/own").asBoolean());
        for (JsonNode change : part.get("changes")) {
            assertTrue(change.get("neededSeconds").asDouble()
                    <= change.get("availableSeconds").asDouble());
        }
        JsonNode own = read(call("preview", song(1, ",\"patterns\":[{\"pattern\":\"beat-strum\"}]")));
        assertEquals("beat-strum", own.at("/rightHand/pattern").asText());
        assertTrue(own.at("/rightHand/sections/0/own").asBoolean());
    }

    @Test
    void preview_withASinger_saysHowEachGripStandsToTheVoice() throws Exception {
        call("preview", song(3, ",\"setting\":\"singer\",\"voice\":{\"lowest\":\"A3\",\"highest\":\"D5\"}"))
                .andExpect(jsonPath("$.placements[0].singer").value(containsString("beside a voice from A3 to D5")))
                .andExpect(jsonPath("$.placements[*].singer", not(hasItem((Object) null))));
        call("preview", song(3, ",\"voice\":{\"lowest\":\"A3\"}"))
                .andExpect(status().is(422))
                .andExpect(jsonPath("$.detail").value(containsString("highest note")));
    }
}
