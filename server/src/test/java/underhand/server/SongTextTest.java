package underhand.server;

import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasItem;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.springframework.http.MediaType.APPLICATION_JSON;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;

/** What a song holds comes back from its chart file: text and decisions. */
@ServerTest
class SongTextTest extends ArrangementCalls {

    private static final List<String> SOURCES = List.of(
            "title: There And Back\n[Verse]\n[G]Row [D]on [Em]down\n[Chorus]\n| C | G | D | G |",
            "title: There And Back\n\nG  D  Em  C\n\nwords without chords\n",
            "key: F\n| F | Bb | C7 | F |\n\n\n");

    private JsonNode json(MockHttpServletRequestBuilder request, Object body) throws Exception {
        return json.readTree(mvc.perform(request.contentType(APPLICATION_JSON).content(json.writeValueAsBytes(body)))
                .andExpect(status().is2xxSuccessful())
                .andReturn()
                .getResponse()
                .getContentAsByteArray());
    }

    private JsonNode add(String source) throws Exception {
        return json(post("/api/v1/songs"), json.createObjectNode().put("source", source));
    }

    private String chartFile(JsonNode song) throws Exception {
        return new String(file("chart", song), StandardCharsets.UTF_8);
    }

    private byte[] file(String format, JsonNode song) throws Exception {
        ObjectNode asked = song.get("decisions").deepCopy();
        asked.set("chart", json.createObjectNode().put("format", "text").set("source", song.get("source")));
        ObjectNode order = json.createObjectNode().put("format", format);
        order.set("song", asked);
        return mvc.perform(post("/api/v1/files").contentType(APPLICATION_JSON).content(order.toString()))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
    }

    @Test
    void zipOfAllFiles_isReadAsTheSong() throws Exception {
        JsonNode song = decided(add(SOURCES.get(0)), new Random(3));
        ObjectNode sent = json.createObjectNode().put("file", file("all", song));
        JsonNode back = add(json(post("/api/v1/files/read"), sent).get("source").asText());
        assertEquals(song.get("source"), back.get("source"));
        assertEquals(song.get("decisions"), back.get("decisions"));
    }

    private JsonNode decided(JsonNode song, Random random) throws Exception {
        ObjectNode decisions = song.get("decisions").deepCopy();
        decisions
                .put("rung", 1 + random.nextInt(5))
                .put("setting", List.of("alone", "singer", "bass").get(random.nextInt(3)))
                .put("tempo", 60 + random.nextInt(80));
        if (random.nextBoolean()) {
            decisions.put("capo", random.nextInt(8));
        }
        if (random.nextBoolean()) {
            decisions.put("texture", "closed");
            decisions.withArray("/textures").addObject().put("section", 0).put("texture", "free");
        }
        if (random.nextBoolean()) {
            decisions
                    .withArray("/locks")
                    .addObject()
                    .put("placement", 0)
                    .put("part", 0)
                    .put("frets", "x32010")
                    .put("capo", 2)
                    .put("transpose", 0);
        }
        decisions
                .withArray("/readings")
                .addObject()
                .put("placement", 1)
                .put("reading", "drop-seventh")
                .put("stand", "refused");
        decisions.withObject("/houseRules").put("capo", false);
        ObjectNode body = json.createObjectNode();
        body.put("version", song.get("version").asLong()).set("source", song.get("source"));
        body.set("decisions", decisions);
        return json(put("/api/v1/songs/" + song.get("id")), body);
    }

    @Test
    void chartFile_ofRandomSongs_bringsTextAndDecisionsBack() throws Exception {
        Random random = new Random(18);
        for (int i = 0; i < 60; i++) {
            JsonNode song = decided(add(SOURCES.get(i % SOURCES.size())), random);
            JsonNode back = add(chartFile(song));
            assertEquals(song.get("source"), back.get("source"), "seed 18, song " + i);
            assertEquals(song.get("decisions"), back.get("decisions"), "seed 18, song " + i);
        }
    }

    @Test
    void chartFile_inAnotherKey_soundsTheSame() throws Exception {
        JsonNode song = add(SOURCES.get(0));
        ObjectNode decisions = song.get("decisions").deepCopy();
        decisions.put("transpose", 3).put("rung", 2);
        ObjectNode moved = song.deepCopy();
        moved.set("decisions", decisions);
        JsonNode back = add(chartFile(moved));
        assertEquals(0, back.at("/decisions/transpose").asInt());
        assertEquals(2, back.at("/decisions/rung").asInt());
        assertFalse(
                back.get("source").asText().contains("[G]"), back.get("source").asText());
    }

    @Test
    void brokenLine_isKeptAndTold() throws Exception {
        JsonNode song = add("G D\n\n# underhand: {\"rung\": 77}");
        assertEquals("G D\n\n# underhand: {\"rung\": 77}", song.get("source").asText());
        mvc.perform(post("/api/v1/charts/read")
                        .contentType(APPLICATION_JSON)
                        .content(json.writeValueAsBytes(json.createObjectNode().set("source", song.get("source")))))
                .andExpect(jsonPath("$.faults[*].message", hasItem(containsString("not used here"))));
    }
}
