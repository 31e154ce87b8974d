package underhand.server;

import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.greaterThan;
import static org.hamcrest.Matchers.hasSize;
import static org.springframework.http.MediaType.APPLICATION_JSON;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import org.junit.jupiter.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;

/** Who plays on what, by ids and by values: what is said by house, guitar, player and song comes together in one way. */
@ServerTest
class WhoPlaysTest {

    /** Barre chords that a capo at 3 makes the shapes of D, G and A7. */
    private static final String BARRES = "key: F\\n| F | Bb | C7 | F |";

    @Autowired
    private MockMvc mvc;

    @Autowired
    private ObjectMapper json;

    private static String song(String more) {
        return "{\"chart\":{\"source\":\"" + BARRES + "\"},\"rung\":1" + more + "}";
    }

    private ResultActions preview(String more) throws Exception {
        return mvc.perform(post("/api/v1/arrangements/preview")
                .contentType(APPLICATION_JSON)
                .content(song(more)));
    }

    private long idOf(String path, String field, String name) throws Exception {
        JsonNode all = json.readTree(
                mvc.perform(get("/api/v1/" + path)).andReturn().getResponse().getContentAsByteArray());
        for (JsonNode one : all) {
            if (one.path(field).path("name").asText().equals(name)) {
                return one.path("id").asLong();
            }
        }
        return Assertions.fail("no " + name + " in the demo book");
    }

    @Test
    void electric_byIdOrByKind_hasNoCapoUnlessAskedFor() throws Exception {
        long electric = idOf("guitars", "build", "Engine-room electric");
        preview("").andExpect(jsonPath("$.capo.chosen").value(greaterThan(0)));
        for (String guitar : new String[] {",\"guitarId\":" + electric, ",\"guitar\":{\"kind\":\"electric\"}"}) {
            preview(guitar)
                    .andExpect(jsonPath("$.capo.chosen").value(0))
                    .andExpect(jsonPath("$.capo.candidates", hasSize(1)))
                    .andExpect(jsonPath("$.houseRules.capo").value(false));
            preview(guitar + ",\"capo\":3").andExpect(jsonPath("$.capo.chosen").value(3));
            preview(guitar + ",\"houseRules\":{\"capo\":true}")
                    .andExpect(jsonPath("$.capo.chosen").value(greaterThan(0)))
                    .andExpect(jsonPath("$.houseRules.capo").value(true));
        }
    }

    @ParameterizedTest
    @CsvSource({"0,0", "\"0\",0", "\"auto\",3", "null,3", "2,2", "\"2\",2"})
    void capo_asNumberOrText_isTheSame(String capo, int chosen) throws Exception {
        preview(",\"capo\":" + capo).andExpect(jsonPath("$.capo.chosen").value(chosen));
    }

    @Test
    void rules_ofThePlayer_holdUntilTheSongSaysOtherwise() throws Exception {
        String player = ",\"player\":{\"houseRules\":{\"capo\":false,\"ring\":0.5}}";
        preview(player)
                .andExpect(jsonPath("$.capo.chosen").value(0))
                .andExpect(jsonPath("$.houseRules.ring").value(0.5))
                .andExpect(jsonPath("$.houseRules.majorBarre").value("either"));
        preview(player + ",\"houseRules\":{\"ring\":-1,\"capo\":null}")
                .andExpect(jsonPath("$.houseRules.capo").value(false))
                .andExpect(jsonPath("$.houseRules.ring").value(-1.0));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                ",\"playerId\":99999; 404; There is no player 99999",
                ",\"guitarId\":99999; 404; There is no guitar 99999",
                ",\"playerId\":1,\"player\":{}; 422; not both",
                ",\"guitarId\":1,\"guitar\":{}; 422; not both",
                ",\"guitar\":{\"kind\":\"lute\"}; 422; acoustic, nylon or electric",
                ",\"houseRules\":{\"mood\":\"good\"}; 422; There is no house rule",
                ",\"houseRules\":{\"capo\":\"yes\"}; 422; true or false",
            })
    void whoPlays_cannotBe_saysWhatAndWhere(String more, int answer, String words) throws Exception {
        preview(more)
                .andExpect(status().is(answer))
                .andExpect(jsonPath("$.detail").value(containsString(words)));
    }

    /** A stored player sent by id plays as the same limits sent by value do. */
    @Test
    void player_byIdAndByValues_playsTheSame() throws Exception {
        long id = idOf("players", "limits", "Evening-class regular");
        JsonNode stored = json.readTree(
                mvc.perform(get("/api/v1/players")).andReturn().getResponse().getContentAsByteArray());
        ObjectNode limits = null;
        for (JsonNode one : stored) {
            if (one.path("id").asLong() == id) {
                limits = (ObjectNode) one.path("limits");
            }
        }
        limits.remove("rung");
        String byId = preview(",\"playerId\":" + id).andReturn().getResponse().getContentAsString();
        String byValue =
                preview(",\"player\":" + limits).andReturn().getResponse().getContentAsString();
        Assertions.assertEquals(json.readTree(byId), json.readTree(byValue));
    }

    /** What the book keeps of a song, with its chart beside it, is a request: nothing is worked out on the way. */
    @Test
    void decisions_ofEveryDemoSong_areARequest() throws Exception {
        JsonNode songs = json.readTree(
                mvc.perform(get("/api/v1/songs")).andReturn().getResponse().getContentAsByteArray());
        for (JsonNode summary : songs) {
            JsonNode song = json.readTree(mvc.perform(get("/api/v1/songs/" + summary.get("id")))
                    .andReturn()
                    .getResponse()
                    .getContentAsByteArray());
            ObjectNode request = json.createObjectNode();
            request.putObject("chart").set("source", song.get("source"));
            request.setAll((ObjectNode) song.get("decisions"));
            mvc.perform(post("/api/v1/arrangements/preview?alternatives=0")
                            .contentType(APPLICATION_JSON)
                            .content(request.toString()))
                    .andExpect(status().isOk())
                    .andExpect(
                            jsonPath("$.rung").value(song.at("/decisions/rung").asInt()));
        }
    }
}
