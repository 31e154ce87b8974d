package underhand.server;

import static org.hamcrest.Matchers.containsString;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** Textures over HTTP: what is chosen, what binds, what is said of grips and changes. */
@ServerTest
class TextureCallsTest extends ArrangementCalls {

    private static final String JAZZ = "key: F\\ntempo: 100\\n[Verse]\\n| Fmaj7 | Gm7 C7 |\\n[Chorus]\\n| Am7 | D7 |";

    private static String song(String chart, int rung, String more) {
        return "{\"chart\":{\"source\":\"" + chart + "\"},\"rung\":" + rung + more + "}";
    }

    private JsonNode preview(int rung, String more) throws Exception {
        return read(call("preview?alternatives=0", song(JAZZ, rung, more)));
    }

    private JsonNode read(ResultActions result) throws Exception {
        return json.readTree(
                result.andExpect(status().isOk()).andReturn().getResponse().getContentAsByteArray());
    }

    private JsonNode search(String body) throws Exception {
        return read(mvc.perform(MockMvcRequestBuilders.post("/api/v1/grips/search")
                .contentType(MediaType.APPLICATION_JSON)
                .content(body)));
    }

    @Test
    void preview_withoutATexture_takesTheOneThatFitsAndSaysWhy() throws Exception {
        JsonNode part = preview(4, "");
        assertEquals("comping", part.at("/texture/chosen").asText());
        assertEquals("comping", part.at("/texture/ranked/0/texture").asText());
        assertTrue(part.at("/texture/ranked/0/reason").asText().contains("5 of 5 chords are sevenths or richer"));
        assertEquals(0, part.at("/capo/chosen").asInt());
        assertEquals("ringing", preview(1, "").at("/texture/chosen").asText());
        assertEquals(
                "free",
                preview(4, ",\"texture\":\"free\"").at("/texture/chosen").asText());
    }

    @Test
    void preview_drop2OnFourStrings_namesFamiliesFormsInversionsAndVoices() throws Exception {
        JsonNode part = preview(5, ",\"texture\":\"drop2\",\"wishes\":{\"strings\":\"4321\"}");
        for (JsonNode placement : part.get("placements")) {
            JsonNode grip = placement.get("grip");
            assertTrue(has(grip.get("families"), "drop 2"), grip.toString());
            assertTrue(
                    grip.get("inversion").asInt() >= 0 && grip.get("inversion").asInt() <= 3);
            assertTrue(grip.get("shape").asText().startsWith("xx")
                    || grip.get("shape").asText().startsWith("x-x"));
            assertTrue(placement.get("fallback").isNull());
        }
        JsonNode voices = part.at("/changes/0/voices");
        assertEquals(4, voices.size());
        assertEquals(1, voices.get(0).get("string").asInt());
        for (JsonNode voice : voices) {
            assertTrue(voice.get("from").asText().matches("[A-G][#b]?\\d"), voice.toString());
            assertEquals(
                    voice.get("semitones").asInt() == 0,
                    voice.get("from").asText().equals(voice.get("to").asText()));
        }
    }

    private static boolean has(JsonNode list, String text) {
        return StreamSupport.stream(list.spliterator(), false)
                .anyMatch(e -> e.asText().equals(text));
    }

    @Test
    void preview_textureOfASection_holdsThereAlone() throws Exception {
        JsonNode part =
                preview(4, ",\"texture\":\"ringing\",\"capo\":0,\"textures\":[{\"section\":1,\"texture\":\"drop3\"}]");
        for (JsonNode placement : part.get("placements")) {
            boolean isSecond = placement.get("section").asText().equals("Chorus");
            assertEquals(
                    isSecond ? "drop3" : "ringing", placement.get("texture").asText());
            assertEquals(isSecond, has(placement.at("/grip/families"), "drop 3"));
        }
    }

    @Test
    void preview_chordWithoutAGripOfTheKind_hasItsFallbackSaid() throws Exception {
        JsonNode part = read(call("preview?alternatives=0", song("| G5 | Am7 |", 4, ",\"texture\":\"drop2\"")));
        assertTrue(part.at("/placements/0/fallback/reason").asText().contains("G5 has no grip of the kind"));
        assertTrue(part.at("/placements/1/fallback").isNull());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "\"texture\":\"jazzy\"; texture",
                "\"wishes\":{\"fromFret\":9,\"toFret\":5}; wishes.toFret",
                "\"texture\":\"led\",\"wishes\":{\"strings\":\"43\"}; wishes.strings",
                "\"wishes\":{\"strings\":\"44\"}; wishes.strings",
                "\"wishes\":{\"top\":\"up\"}; wishes.top",
                "\"wishes\":{\"fromFret\":0}; wishes.fromFret",
            })
    void preview_whatCannotBe_isRefusedByItsField(String more, String field) throws Exception {
        call("preview", song(JAZZ, 4, "," + more))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.field").value(field));
    }

    @Test
    void preview_textureOfASectionThatIsNotThere_saysWhichThereAre() throws Exception {
        call("preview", song(JAZZ, 4, ",\"textures\":[{\"section\":7,\"texture\":\"led\"}]"))
                .andExpect(status().is4xxClientError())
                .andExpect(jsonPath("$.detail", containsString("must be 0 to 1")));
    }

    /** The second guitar's texture is its own; left open, it leaves the first its room, and says so. */
    @Test
    void second_hasATextureOfItsOwn() throws Exception {
        String ringing = ",\"texture\":\"ringing\",\"second\":";
        JsonNode proposed = second(ringing + "{\"rung\":4}");
        assertEquals("triads", proposed.at("/arrangement/texture/chosen").asText());
        assertTrue(proposed.at("/arrangement/texture/ranked/0/reason").asText().contains("first guitar"));
        JsonNode asked = second(ringing + "{\"rung\":4,\"texture\":\"comping\"}");
        assertEquals("comping", asked.at("/arrangement/texture/chosen").asText());
        call("second", "{\"song\":" + song(JAZZ, 4, ringing + "{\"rung\":4,\"texture\":\"jazzy\"}") + "}")
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.field").value("texture"));
    }

    private JsonNode second(String more) throws Exception {
        return read(call("second", "{\"song\":" + song(JAZZ, 4, more) + "}"));
    }

    @Test
    void search_inATexture_givesItsGripsAlone() throws Exception {
        JsonNode found = search("{\"chord\":\"Am7\",\"rung\":4,\"texture\":\"comping\",\"limit\":12}");
        boolean known = false;
        for (JsonNode grip : found.get("grips")) {
            assertTrue(has(grip.get("families"), "muted") || has(grip.get("families"), "shell"), grip.toString());
            known |= grip.get("shape").asText().equals("5x555x");
        }
        assertTrue(known, "the movable minor seventh is among the first");
        JsonNode free = search("{\"chord\":\"Am7\",\"rung\":4,\"limit\":1}");
        assertFalse(has(free.at("/grips/0/families"), "muted"));
        JsonNode form =
                search("{\"chord\":\"D\",\"rung\":4,\"texture\":\"closed\",\"wishes\":{\"fromFret\":5,\"toFret\":7}}");
        assertEquals("A form at 5", form.at("/grips/0/form").asText());
    }

    @Test
    void decisions_keepTextureSectionsAndWishes() throws Exception {
        JsonNode song = json.readTree(mvc.perform(MockMvcRequestBuilders.post("/api/v1/songs")
                        .contentType(MediaType.APPLICATION_JSON)
                        .content("{\"source\":\"" + JAZZ + "\"}"))
                .andReturn()
                .getResponse()
                .getContentAsByteArray());
        var decisions = (com.fasterxml.jackson.databind.node.ObjectNode) song.get("decisions");
        decisions.put("texture", "comping");
        decisions.set("textures", json.readTree("[{\"section\":1,\"placement\":null,\"texture\":\"led\"}]"));
        decisions.set(
                "second",
                json.readTree(
                        "{\"rung\":4,\"capo\":null,\"playerId\":null,\"guitarId\":null,\"patterns\":null,\"texture\":\"triads\",\"solo\":null}"));
        decisions.set(
                "wishes",
                json.readTree(
                        "{\"strings\":\"4321\",\"fromFret\":3,\"toFret\":9,\"noDoubling\":true,\"top\":\"falls\"}"));
        var body = json.createObjectNode();
        body.put("version", song.get("version").asLong());
        body.put("source", song.get("source").asText());
        body.set("decisions", decisions);
        String path = "/api/v1/songs/" + song.get("id").asLong();
        mvc.perform(MockMvcRequestBuilders.put(path)
                        .contentType(MediaType.APPLICATION_JSON)
                        .content(body.toString()))
                .andExpect(status().isOk());
        JsonNode kept = json.readTree(mvc.perform(MockMvcRequestBuilders.get(path))
                .andReturn()
                .getResponse()
                .getContentAsByteArray());
        assertEquals(decisions.get("texture"), kept.at("/decisions/texture"));
        assertEquals(decisions.get("textures"), kept.at("/decisions/textures"));
        assertEquals(decisions.get("wishes"), kept.at("/decisions/wishes"));
        assertEquals(decisions.get("second"), kept.at("/decisions/second"));
        mvc.perform(MockMvcRequestBuilders.delete(path));
    }
}
