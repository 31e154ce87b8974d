package underhand.server;

import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.everyItem;
import static org.hamcrest.Matchers.greaterThan;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.hasSize;
import static org.hamcrest.Matchers.is;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.springframework.http.MediaType.APPLICATION_JSON;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;

/** Parts, patterns and fills over HTTP. */
@ServerTest
class PartCallsTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private ObjectMapper json;

    private static String song(String more) {
        return "{\"chart\":{\"source\":\"key: C\\ntempo: 80\\n[Verse]\\n| C | G | Am | F |\\n[Chorus]\\n| F | G | C | C |\"},"
                + "\"rung\":3,\"capo\":0" + more + "}";
    }

    private ResultActions call(String path, String body) throws Exception {
        return mvc.perform(post("/api/v1/" + path).contentType(APPLICATION_JSON).content(body));
    }

    @Test
    void preview_withoutAPattern_isAStrokeABeat() throws Exception {
        call("parts/preview", "{\"song\":" + song("") + "}")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.bars", hasSize(8)))
                .andExpect(jsonPath("$.bars[0].section").value("Verse"))
                .andExpect(jsonPath("$.bars[0].events", hasSize(4)))
                .andExpect(jsonPath("$.bars[0].events[0].strum").value("down"))
                .andExpect(jsonPath("$.bars[0].events[0].notes[0].written").value("C3"))
                .andExpect(jsonPath("$.beats").value(32.0));
    }

    @Test
    void preview_patternOfASection_isPlayedThereWithFingers() throws Exception {
        String patterns =
                ",\"patterns\":[{\"section\":\"Chorus\",\"pattern\":\"arpeggio-up\"},{\"pattern\":\"folk-strum\"}]";
        call("parts/preview", "{\"song\":" + song(patterns) + "}")
                .andExpect(jsonPath("$.bars[0].pattern").value("folk strum"))
                .andExpect(jsonPath("$.bars[4].pattern").value("arpeggio up"))
                .andExpect(jsonPath("$.bars[5].events[0].notes[0].right").value("p"))
                .andExpect(jsonPath("$.bars[5].events[3].notes[0].right").value("a"));
        call("arrangements/preview", song(patterns))
                .andExpect(jsonPath("$.changes[0].availableSeconds").value(0.375));
    }

    @Test
    void ownPattern_inline_isPlayedAndItsFaultsAreNamed() throws Exception {
        String own = ",\"patterns\":[{\"own\":{\"name\":\"Mine\",\"metre\":\"4/4\",\"steps\":\"%s\"}}]";
        call("parts/preview", "{\"song\":" + song(own.formatted("D . D U")) + "}")
                .andExpect(jsonPath("$.bars[0].pattern").value("Mine"))
                .andExpect(jsonPath("$.bars[0].events", hasSize(3)));
        call("parts/preview", "{\"song\":" + song(own.formatted("D . q U")) + "}")
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail").value(containsString("Step 3 of the pattern, \"q\"")));
        call("parts/preview", "{\"song\":" + song(",\"patterns\":[{\"pattern\":\"none\"}]") + "}")
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail").value("There is no pattern \"none\"."));
    }

    @Test
    void patterns_ranked_haveReasonsAndOwnOnesAmongThem() throws Exception {
        call(
                        "parts/patterns",
                        "{\"song\":" + song("")
                                + ",\"section\":\"Verse\",\"own\":[{\"name\":\"Mine\",\"metre\":\"4/4\",\"steps\":\"D . . .\"}]}")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.length()", greaterThan(10)))
                .andExpect(jsonPath("$[0].reasons.length()", greaterThan(0)))
                .andExpect(jsonPath("$[*].pattern.name", hasItem("Mine")));
        mvc.perform(get("/api/v1/picking-patterns"))
                .andExpect(jsonPath("$.length()", greaterThan(23)))
                .andExpect(jsonPath("$[0].steps").value("D D D D"));
    }

    /** Ranked for the hand and grips of the second guitar: on the first rung none that the fifth alone can play. */
    @Test
    void patterns_rankedForASecondGuitar_areThoseOfItsRung() throws Exception {
        String first = song("").replaceFirst("\"rung\":[0-9]", "\"rung\":5");
        String two = first.replaceFirst("}$", ",\"second\":{\"rung\":1}}");
        String both = "{\"song\":" + two + ",\"section\":\"Verse\",\"second\":true}";
        call("parts/patterns", "{\"song\":" + first + ",\"section\":\"Verse\"}")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$[*].pattern.rung", hasItem(greaterThan(1))));
        call("parts/patterns", both)
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.length()", greaterThan(0)))
                .andExpect(jsonPath("$[*].pattern.rung", everyItem(is(1))));
    }

    @Test
    void fills_offeredAndChosen_areInThePart() throws Exception {
        String offered = call("parts/fills", "{\"song\":" + song("") + ",\"index\":0}")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.fills[*].id", hasItem("bass-walk:scale")))
                .andReturn()
                .getResponse()
                .getContentAsString();
        JsonNode fills = json.readTree(offered).get("fills");
        int notes = 0;
        for (JsonNode fill : fills) {
            notes = fill.get("id").asText().equals("bass-walk:scale")
                    ? fill.get("notes").asText().split(" ").length
                    : notes;
        }
        String chosen =
                ",\"fills\":[{\"placement\":0,\"fill\":\"bass-walk:scale\"},{\"placement\":1,\"fill\":\"gone\"}]";
        String part = call("parts/preview", "{\"song\":" + song(chosen) + "}")
                .andExpect(jsonPath("$.notices", hasItem(containsString("does not fit any more"))))
                .andReturn()
                .getResponse()
                .getContentAsString();
        int played = 0;
        for (JsonNode event : json.readTree(part).get("bars").get(0).get("events")) {
            played += event.get("fill").asBoolean() ? event.get("notes").size() : 0;
        }
        assertEquals(notes, played);
        call("parts/fills", "{\"song\":" + song("") + ",\"index\":99}")
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail").value("index must be 0 to 7, was 99."));
    }

    @Test
    void ownPatterns_areKeptChangedAndRefusedWhenStale() throws Exception {
        String body = "{\"pattern\":{\"name\":\"Canal roll\",\"metre\":\"4/4\",\"steps\":\"r l m h\",\"swing\":false}}";
        JsonNode kept = json.readTree(call("own-patterns", body)
                .andExpect(status().isCreated())
                .andReturn()
                .getResponse()
                .getContentAsString());
        String path = "/api/v1/own-patterns/" + kept.get("id").asLong();
        String change =
                body.replace("{\"pattern\"", "{\"version\":0,\"pattern\"").replace("r l m h", "r h m l");
        mvc.perform(put(path).contentType(APPLICATION_JSON).content(change))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.pattern.steps").value("r h m l"));
        mvc.perform(put(path).contentType(APPLICATION_JSON).content(change))
                .andExpect(status().isConflict())
                .andExpect(jsonPath("$.current.version").value(1));
        call("own-patterns", body.replace("r l m h", "r l m")).andExpect(status().isUnprocessableEntity());
        mvc.perform(get("/api/v1/own-patterns")).andExpect(jsonPath("$[*].pattern.name", hasItem("Canal roll")));
        mvc.perform(delete(path)).andExpect(status().isNoContent());
        mvc.perform(delete(path)).andExpect(status().isNotFound());
    }

    @Test
    void pickingHand_asAHouseRule_changesTheFingers() throws Exception {
        String picked = ",\"patterns\":[{\"pattern\":\"arpeggio-up\"}],\"houseRules\":{\"pickingHand\":\"%s\"}";
        call("parts/preview", "{\"song\":" + song(picked.formatted("thumb_led")) + "}")
                .andExpect(jsonPath("$.bars[0].events[1].notes[0].right", is("p")))
                .andExpect(jsonPath("$.bars[0].events[3].notes[0].right", is("i")));
        call("parts/preview", "{\"song\":" + song(picked.formatted("pima")) + "}")
                .andExpect(jsonPath("$.bars[0].events[1].notes[0].right", is("i")));
    }
}
