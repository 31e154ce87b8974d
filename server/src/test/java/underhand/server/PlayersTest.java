package underhand.server;

import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.greaterThan;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.not;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.http.MediaType.APPLICATION_JSON;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;

@ServerTest
class PlayersTest {

    private static final String HAND =
            "{\"name\":\"%s\",\"rung\":%d,\"comfortableMm\":%s,\"widestMm\":%s,\"thumb\":false,\"changeFactor\":%s,"
                    + "\"leftHanded\":false}";
    private static final String GUITAR =
            "{\"name\":\"%s\",\"kind\":\"%s\",\"scaleLengthMm\":%s,\"nutSpreadMm\":36,\"bridgeSpreadMm\":52,"
                    + "\"frets\":%d,\"tuning\":\"%s\"}";

    @Autowired
    private MockMvc mvc;

    private ResultActions add(String path, String field, String value) throws Exception {
        return mvc.perform(
                post("/api/v1/" + path).contentType(APPLICATION_JSON).content("{\"" + field + "\":" + value + "}"));
    }

    private static int id(ResultActions result) throws Exception {
        return JsonPath.read(result.andReturn().getResponse().getContentAsString(), "$.id");
    }

    @Test
    void demo_emptyBook_holdsThreePlayersAndThreeGuitars() throws Exception {
        mvc.perform(get("/api/v1/players"))
                .andExpect(jsonPath("$[*].limits.name", hasItem("First-year hand")))
                .andExpect(jsonPath("$.length()").value(greaterThan(2)));
        mvc.perform(get("/api/v1/guitars"))
                .andExpect(jsonPath("$[*].build.kind", hasItem("electric")))
                .andExpect(jsonPath("$.length()").value(greaterThan(2)));
    }

    @Test
    void player_changedAndRemoved_isKeptAndGone() throws Exception {
        int id = id(add("players", "limits", HAND.formatted("New hand", 2, 90, 120, 1))
                .andExpect(status().isCreated()));
        String changed = "{\"version\":0,\"limits\":" + HAND.formatted("New hand", 3, 90, 120, 1) + "}";
        mvc.perform(put("/api/v1/players/" + id).contentType(APPLICATION_JSON).content(changed))
                .andExpect(jsonPath("$.limits.rung").value(3));
        mvc.perform(put("/api/v1/players/" + id).contentType(APPLICATION_JSON).content(changed))
                .andExpect(status().isConflict())
                .andExpect(jsonPath("$.current.version").value(1));
        mvc.perform(delete("/api/v1/players/" + id)).andExpect(status().isNoContent());
        mvc.perform(get("/api/v1/players")).andExpect(jsonPath("$[*].id", not(hasItem(id))));
    }

    @Test
    void search_smallHand_leavesOutWhatItCannotReach() throws Exception {
        int small = id(add("players", "limits", HAND.formatted("Small hand", 4, 50, 60, 1)));
        String ask = "{\"chord\":\"C\",\"rung\":4,\"maxFret\":5,\"playerId\":%s}";
        int reached = total(ask.formatted(small));
        int all = total(ask.formatted("null"));
        assertTrue(reached < all, reached + " of " + all);
    }

    private int total(String body) throws Exception {
        return JsonPath.read(
                mvc.perform(post("/api/v1/grips/search")
                                .contentType(APPLICATION_JSON)
                                .content(body))
                        .andReturn()
                        .getResponse()
                        .getContentAsString(),
                "$.total");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "\"pairs\":[{\"fingers\":\"4-1\",\"comfortableMm\":40,\"widestMm\":60}];pair of fingers",
                "\"pairs\":[{\"fingers\":\"thumb\",\"comfortableMm\":40,\"widestMm\":60}];written 1-2",
                "\"pairs\":[{\"fingers\":\"1-2\",\"comfortableMm\":70,\"widestMm\":60}];spreads of fingers",
                "\"shapes\":[\"x32q10\"];neither a fret",
                "\"houseRules\":{\"ring\":7};ring must be"
            })
    void player_badDetails_areRefused(String more, String words) throws Exception {
        String hand = HAND.formatted("Detailed", 2, 90, 120, 1);
        add("players", "limits", hand.substring(0, hand.length() - 1) + "," + more + "}")
                .andExpect(status().is(422))
                .andExpect(jsonPath("$.detail").value(containsString(words)));
    }

    @Test
    void player_pairsShapesAndRules_areKept() throws Exception {
        String hand = HAND.formatted("Detailed", 2, 90, 120, 1);
        String more = ",\"pairs\":[{\"fingers\":\"1-2\",\"comfortableMm\":40,\"widestMm\":60}],"
                + "\"shapes\":[\"x32013\"],\"houseRules\":{\"ring\":0.5}}";
        int id = id(add("players", "limits", hand.substring(0, hand.length() - 1) + more)
                .andExpect(status().isCreated()));
        mvc.perform(get("/api/v1/players"))
                .andExpect(jsonPath("$[?(@.id==" + id + ")].limits.pairs[0].widestMm", hasItem(60.0)))
                .andExpect(jsonPath("$[?(@.id==" + id + ")].limits.shapes[0]", hasItem("x32013")))
                .andExpect(jsonPath("$[?(@.id==" + id + ")].limits.houseRules.ring", hasItem(0.5)));
    }

    @ParameterizedTest
    @CsvSource({
        "'',2,90,120,1,name",
        "x,9,90,120,1,rung",
        "x,2,90,60,1,widest",
        "x,2,90,120,9,changeFactor",
        "x,2,-1,120,1,spreads"
    })
    void player_badLimits_areRefused(String name, int rung, String at, String most, String factor, String word)
            throws Exception {
        add("players", "limits", HAND.formatted(name, rung, at, most, factor))
                .andExpect(status().is(422))
                .andExpect(jsonPath("$.detail").value(containsString(word.equals("name") ? "name" : word)));
    }

    @ParameterizedTest
    @CsvSource({
        "'',acoustic,648,20,E2 A2 D3 G3 B3 E4,name", "x,banjo,648,20,E2 A2 D3 G3 B3 E4,kind",
        "x,nylon,10,20,E2 A2 D3 G3 B3 E4,scaleLengthMm", "x,nylon,648,99,E2 A2 D3 G3 B3 E4,frets",
        "x,nylon,648,20,E2 A2,tuning"
    })
    void guitar_badBuild_isRefused(String name, String kind, String scale, int frets, String tuning, String word)
            throws Exception {
        add("guitars", "build", GUITAR.formatted(name, kind, scale, frets, tuning))
                .andExpect(status().is(422))
                .andExpect(jsonPath("$.detail").value(containsString(word)));
    }

    @Test
    void guitar_addedAndRemoved_isGone() throws Exception {
        int id = id(
                add("guitars", "build", GUITAR.formatted("Seven strings", "electric", 648, 24, "B1 E2 A2 D3 G3 B3 E4"))
                        .andExpect(status().isCreated()));
        mvc.perform(delete("/api/v1/guitars/" + id)).andExpect(status().isNoContent());
        mvc.perform(delete("/api/v1/guitars/" + id)).andExpect(status().isNotFound());
    }
}
