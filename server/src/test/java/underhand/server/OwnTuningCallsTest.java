package underhand.server;

import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.not;
import static org.springframework.http.MediaType.APPLICATION_JSON;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.test.web.servlet.ResultActions;

/** Players' own tunings over HTTP. */
@ServerTest
class OwnTuningCallsTest extends ArrangementCalls {

    private static final String PATH = "/api/v1/own-tunings";

    private ResultActions add(String name, String strings) throws Exception {
        return mvc.perform(post(PATH)
                .contentType(APPLICATION_JSON)
                .content(json.writeValueAsBytes(Map.of("tuning", Map.of("name", name, "strings", strings)))));
    }

    @Test
    void aTuningIsKeptChangedRemovedAndPutBack() throws Exception {
        long id = json.readTree(add("Sluice", "C2 G2 D3 G3 A3 E4")
                        .andExpect(status().isCreated())
                        .andReturn()
                        .getResponse()
                        .getContentAsString())
                .get("id")
                .asLong();
        String path = PATH + "/" + id;
        String changed = "{\"version\":0,\"tuning\":{\"name\":\"Sluice gate\",\"strings\":\"C2 G2 D3 G3 B3 E4\"}}";
        mvc.perform(put(path).contentType(APPLICATION_JSON).content(changed)).andExpect(status().isOk());
        mvc.perform(put(path).contentType(APPLICATION_JSON).content(changed.replace("Sluice gate", "Weir")))
                .andExpect(status().isConflict());
        mvc.perform(get(PATH)).andExpect(jsonPath("$[*].tuning.name", hasItem("Sluice gate")));
        mvc.perform(delete(path)).andExpect(status().isNoContent());
        mvc.perform(get(PATH)).andExpect(jsonPath("$[*].tuning.name", not(hasItem("Sluice gate"))));
        mvc.perform(post(path + "/put-back")).andExpect(status().isOk());
        mvc.perform(get(PATH)).andExpect(jsonPath("$[*].tuning.name", hasItem("Sluice gate")));
        mvc.perform(delete(path)).andExpect(status().isNoContent());
    }

    @ParameterizedTest
    @CsvSource({
        "'', D2 A2 D3 G3 B3 E4, name",
        "drop D, D2 A2 D3 G3 B3 E4, everybody knows",
        "Three, D2 A2 D3, strings",
        "Weir, D2 A2 H3 G3 B3 E4, H3",
        "Weir, '', strings",
    })
    void whatIsNoTuningIsRefusedInWords(String name, String strings, String said) throws Exception {
        add(name, strings).andExpect(status().is4xxClientError()).andExpect(jsonPath("$.detail", containsString(said)));
    }

    /** What is kept is what a song is compared in. */
    @Test
    void aSongIsComparedInATuningOfItsOwn() throws Exception {
        mvc.perform(post("/api/v1/arrangements/tunings")
                        .contentType(APPLICATION_JSON)
                        .content("{\"song\":{\"chart\":{\"source\":\"| C | G | C |\"},\"rung\":2},"
                                + "\"tunings\":[\"C2 G2 D3 G3 A3 E4\"]}"))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$[*].strings", hasItem("C2 G2 D3 G3 A3 E4")));
    }
}
