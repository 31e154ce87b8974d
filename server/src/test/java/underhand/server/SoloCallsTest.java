package underhand.server;

import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.everyItem;
import static org.hamcrest.Matchers.hasSize;
import static org.hamcrest.Matchers.is;
import static org.hamcrest.Matchers.nullValue;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.http.MediaType.APPLICATION_JSON;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.test.web.servlet.ResultActions;

/** The tune on top over HTTP. */
@ServerTest
class SoloCallsTest extends ArrangementCalls {

    private static final String TUNE = "key: C\n| C | G7 | C |\ntune: E4 G4 C5 . | B4 . . F4 | E4 . - - |\n";

    private ResultActions solo(String path, Map<String, Object> more) throws Exception {
        Map<String, Object> body = new HashMap<>(Map.of("chart", Map.of("format", "text", "source", TUNE), "rung", 4));
        body.putAll(more);
        return mvc.perform(post("/api/v1/" + path).contentType(APPLICATION_JSON).content(json.writeValueAsBytes(body)));
    }

    @Test
    void preview_hasEveryNoteOfTheTuneInItsPlace() throws Exception {
        JsonNode answer = json.readTree(solo("solos/preview", Map.of("capo", 0, "octave", 0))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.octave").value(0))
                .andExpect(jsonPath("$.hasTune").value(true))
                .andExpect(jsonPath("$.placements", hasSize(3)))
                .andExpect(jsonPath("$.placements[0].top.note").value("E4"))
                .andExpect(jsonPath("$.placements[0].top.words").value("the third of C"))
                .andReturn()
                .getResponse()
                .getContentAsString());
        List<String> tune = new ArrayList<>();
        for (JsonNode note : answer.get("notes")) {
            if (note.get("tune").asBoolean()) {
                tune.add(note.get("note").asText() + " " + note.get("bar") + ":"
                        + note.get("beat").asInt() + " " + note.get("beats").asInt());
            }
        }
        assertEquals(List.of("E4 1:1 1", "G4 1:2 1", "C5 1:3 2", "B4 2:1 3", "F4 2:4 1", "E4 3:1 2"), tune);
        assertTrue(answer.get("changes").size() >= 2);
        assertTrue(answer.get("moments").size() >= 6);
    }

    @Test
    void plainPreview_hasNothingOfIt_untilItIsAsked() throws Exception {
        solo("arrangements/preview", Map.of())
                .andExpect(jsonPath("$.octave").value(nullValue()))
                .andExpect(jsonPath("$.notes", hasSize(0)))
                .andExpect(jsonPath("$.hasTune").value(true));
        solo("arrangements/preview", Map.of("solo", Map.of("octave", 1)))
                .andExpect(jsonPath("$.octave").value(1))
                .andExpect(jsonPath("$.placements[0].top.note").value("E5"));
    }

    @ParameterizedTest
    @ValueSource(strings = {"auto", "0", "-1"})
    void octave_isTakenAsTextToo(String octave) throws Exception {
        solo("solos/preview", Map.of("octave", octave)).andExpect(status().isOk());
    }

    @Test
    void aNoteGoesToTheStringAskedFor() throws Exception {
        Map<String, Object> kept = Map.of("bar", 1, "beat", 2, "string", 2);
        solo("solos/preview", Map.of("capo", 0, "octave", 0, "solo", Map.of("strings", List.of(kept))))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.notes[?(@.tune && @.bar==1 && @.beat==2.0)].string", everyItem(is(2))));
    }

    @Test
    void whatCannotBe_saysWhy() throws Exception {
        solo("solos/preview", Map.of("octave", 3))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.field").value("octave"));
        solo("solos/preview", Map.of("octave", "high"))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail", containsString("auto")));
        solo("solos/preview", Map.of("chart", Map.of("source", "| C | G |")))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail", containsString("no tune")));
        solo("solos/preview", Map.of("solo", Map.of("strings", List.of(Map.of("bar", 1)))))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.field", containsString("strings[0]")));
    }

    /** The first plays the chords, the second the tune and nothing else. */
    @Test
    void secondGuitar_takesTheTune() throws Exception {
        Map<String, Object> song = Map.of(
                "chart", Map.of("source", TUNE), "second", Map.of("rung", 3, "solo", Map.of("under", "nothing")));
        JsonNode answer = json.readTree(mvc.perform(post("/api/v1/arrangements/second")
                        .contentType(APPLICATION_JSON)
                        .content(json.writeValueAsBytes(Map.of("song", song))))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.arrangement.notes", hasSize(6)))
                .andExpect(jsonPath("$.arrangement.notes[*].tune", everyItem(is(true))))
                .andReturn()
                .getResponse()
                .getContentAsString());
        assertTrue(answer.at("/arrangement/octave").isInt());
        Map<String, Object> first = new HashMap<>(song);
        mvc.perform(post("/api/v1/arrangements/preview")
                        .contentType(APPLICATION_JSON)
                        .content(json.writeValueAsBytes(first)))
                .andExpect(jsonPath("$.octave").value(nullValue()))
                .andExpect(jsonPath("$.notes", hasSize(0)));
    }
}
