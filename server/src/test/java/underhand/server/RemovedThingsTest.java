package underhand.server;

import static org.hamcrest.Matchers.contains;
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

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.Duration;
import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import underhand.server.storage.RemovedThings;

/** Whatever is removed can be put back under its number, and is forgotten when its time is over. */
@ServerTest
class RemovedThingsTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private ObjectMapper json;

    @Autowired
    private RemovedThings removed;

    private long add(String path, String body) throws Exception {
        return json.readTree(
                        mvc.perform(post(path).contentType(APPLICATION_JSON).content(body))
                                .andExpect(status().isCreated())
                                .andReturn()
                                .getResponse()
                                .getContentAsByteArray())
                .get("id")
                .asLong();
    }

    private void staysAndGoes(String path, String body) throws Exception {
        long id = add(path, body);
        String one = path + "/" + id;
        mvc.perform(post(one + "/put-back")).andExpect(status().isNotFound());
        mvc.perform(delete(one)).andExpect(status().isNoContent());
        mvc.perform(get(path)).andExpect(jsonPath("$[*].id", not(hasItem((int) id))));
        mvc.perform(delete(one)).andExpect(status().isNotFound());
        mvc.perform(post(one + "/put-back"))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.id").value(id));
        mvc.perform(get(path)).andExpect(jsonPath("$[*].id", hasItem((int) id)));

        mvc.perform(delete(one)).andExpect(status().isNoContent());
        removed.forget(Instant.now().minus(Duration.ofDays(1)));
        mvc.perform(post(one + "/put-back")).andExpect(status().isOk());
        mvc.perform(delete(one)).andExpect(status().isNoContent());
        removed.forget(Instant.now().plusSeconds(1));
        mvc.perform(post(one + "/put-back"))
                .andExpect(status().isNotFound())
                .andExpect(jsonPath("$.detail", containsString("to put back")));
    }

    private static String hand(String name) {
        return "{\"limits\":{\"name\":\"" + name
                + "\",\"rung\":1,\"comfortableMm\":80,\"widestMm\":100,\"thumb\":false,\"changeFactor\":1,\"leftHanded\":false}}";
    }

    @Test
    void player_isPutBackUnderItsNumber_untilItIsForgotten() throws Exception {
        staysAndGoes("/api/v1/players", hand("A guest"));
    }

    @Test
    void guitar_isPutBackUnderItsNumber_untilItIsForgotten() throws Exception {
        staysAndGoes(
                "/api/v1/guitars",
                "{\"build\":{\"name\":\"Spare\",\"kind\":\"nylon\",\"scaleLengthMm\":650,\"nutSpreadMm\":43,\"bridgeSpreadMm\":58,\"frets\":19,\"tuning\":\"E2 A2 D3 G3 B3 E4\"}}");
    }

    private JsonNode song() throws Exception {
        return json.readTree(mvc.perform(
                        post("/api/v1/songs").contentType(APPLICATION_JSON).content("{\"source\":\"[G]Row [D]on\"}"))
                .andReturn()
                .getResponse()
                .getContentAsByteArray());
    }

    @Test
    void version_isPutBackUnderItsNumber_untilItIsForgotten() throws Exception {
        JsonNode song = song();
        ObjectNode version = json.createObjectNode().put("name", "as it was").put("source", "[G]Row [D]on");
        version.set("decisions", song.get("decisions"));
        staysAndGoes("/api/v1/songs/" + song.get("id") + "/versions", version.toString());
    }

    @Test
    void removedPlayer_staysInTheSong_andPlaysAgainWhenPutBack() throws Exception {
        long player = add("/api/v1/players", hand("A first-year guest"));
        ObjectNode song = (ObjectNode) song();
        ((ObjectNode) song.get("decisions")).put("playerId", player);
        song.retain("version", "source", "decisions", "id");
        String one = "/api/v1/songs/" + song.remove("id");
        mvc.perform(put(one).contentType(APPLICATION_JSON).content(song.toString()))
                .andExpect(status().isOk());
        mvc.perform(delete("/api/v1/players/" + player)).andExpect(status().isNoContent());
        mvc.perform(get(one)).andExpect(jsonPath("$.decisions.playerId").value(player));
        mvc.perform(post("/api/v1/players/" + player + "/put-back")).andExpect(status().isOk());
        mvc.perform(get("/api/v1/players"))
                .andExpect(jsonPath("$[?(@.id==" + player + ")].limits.name", contains("A first-year guest")));
    }
}
