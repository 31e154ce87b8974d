package underhand.server;

import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.everyItem;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.matchesPattern;
import static org.hamcrest.Matchers.not;
import static org.springframework.http.MediaType.APPLICATION_JSON;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.test.web.servlet.ResultActions;

/** Players' own textures over HTTP, and songs that are played in them. */
@ServerTest
class OwnTextureCallsTest extends ArrangementCalls {

    private static final String PATH = "/api/v1/own-textures";

    private static final String QUARTETS =
            "{\"name\":\"Quartets\",\"families\":[\"drop-2\"],\"open\":\"none\",\"strings\":[\"5432\"]}";

    private ResultActions add(String texture) throws Exception {
        return mvc.perform(post(PATH).contentType(APPLICATION_JSON).content("{\"texture\":" + texture + "}"));
    }

    private JsonNode added(String texture) throws Exception {
        return json.readTree(add(texture)
                .andExpect(status().isCreated())
                .andReturn()
                .getResponse()
                .getContentAsString());
    }

    @Test
    void aTextureIsKeptChangedRemovedAndPutBack() throws Exception {
        String path = PATH + "/" + added(QUARTETS).get("id").asLong();
        String changed = "{\"version\":0,\"texture\":" + QUARTETS.replace("Quartets", "Lock quartet") + "}";
        mvc.perform(put(path).contentType(APPLICATION_JSON).content(changed)).andExpect(status().isOk());
        mvc.perform(put(path).contentType(APPLICATION_JSON).content(changed)).andExpect(status().isConflict());
        mvc.perform(get(PATH)).andExpect(jsonPath("$[*].texture.name", hasItem("Lock quartet")));
        mvc.perform(delete(path)).andExpect(status().isNoContent());
        mvc.perform(get(PATH)).andExpect(jsonPath("$[*].texture.name", not(hasItem("Lock quartet"))));
        mvc.perform(post(path + "/put-back")).andExpect(status().isOk());
        mvc.perform(get(PATH)).andExpect(jsonPath("$[*].texture.name", hasItem("Lock quartet")));
        mvc.perform(delete(path)).andExpect(status().isNoContent());
    }

    /** What it says is all of it: a song keeps it whatever becomes of the document. */
    @Test
    void aSongIsPlayedInIt_alsoOnceItIsRemoved() throws Exception {
        JsonNode stored = added(QUARTETS);
        mvc.perform(delete(PATH + "/" + stored.get("id").asLong())).andExpect(status().isNoContent());
        Map<String, Object> song = Map.of(
                "chart", Map.of("source", "| Cmaj7 | Am7 | Dm7 | G7 |"),
                "rung", 4,
                "texture", stored.get("says").asText());
        mvc.perform(post("/api/v1/arrangements/preview")
                        .contentType(APPLICATION_JSON)
                        .content(json.writeValueAsBytes(song)))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.texture.chosen").value(stored.get("says").asText()))
                .andExpect(jsonPath("$.placements[*].grip.shape", everyItem(matchesPattern("x.*x"))));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "{\"name\":\"\",\"families\":[\"drop-2\"],\"open\":\"none\"}; name",
                "{\"name\":\"A\",\"open\":\"none\"}; families or open is missing",
                "{\"name\":\"A\",\"families\":[],\"open\":\"none\"}; one or more of open",
                "{\"name\":\"A\",\"families\":[\"drop 2\"],\"open\":\"none\"}; families must be",
                "{\"name\":\"A\",\"families\":[null],\"open\":\"none\"}; null",
                "{\"name\":\"A\",\"families\":[\"drop-2\"],\"open\":\"ajar\"}; allowed",
                "{\"name\":\"A\",\"families\":[\"drop-2\"],\"open\":\"none\",\"strings\":[\"2345\"]}; lowest on",
                "{\"name\":\"A\",\"families\":[\"drop-2\"],\"open\":\"none\",\"voices\":12}; voices",
            })
    void whatIsNoTexture_isRefusedInWords(String texture, String said) throws Exception {
        add(texture).andExpect(status().is4xxClientError()).andExpect(jsonPath("$.detail", containsString(said)));
    }
}
