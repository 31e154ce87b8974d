package underhand.server;

import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.everyItem;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.hasItems;
import static org.hamcrest.Matchers.hasSize;
import static org.hamcrest.Matchers.is;
import static org.springframework.http.MediaType.APPLICATION_JSON;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.test.web.servlet.ResultActions;

/** The shape desk over HTTP. */
@ServerTest
class DeskCallsTest extends ArrangementCalls {

    private ResultActions ask(String path, Map<String, Object> body) throws Exception {
        return mvc.perform(
                post("/api/v1/shapes/" + path).contentType(APPLICATION_JSON).content(json.writeValueAsBytes(body)));
    }

    @Test
    void neighbours_sayNamesAndMovesByTheNumbersOfPlayers() throws Exception {
        ask("neighbours", Map.of("frets", "x7577x", "key", "D"))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.neighbours[0].inKey").value(true))
                .andExpect(jsonPath("$.neighbours[?(@.shape=='x7677x')].names[0].symbol")
                        .value("E9"))
                .andExpect(jsonPath("$.neighbours[?(@.shape=='x7677x')].moved[0].string")
                        .value(4))
                .andExpect(jsonPath("$.neighbours[?(@.shape=='x7677x')].moved[0].from")
                        .value(5))
                .andExpect(jsonPath("$.neighbours[?(@.shape=='x7677x')].moved[0].to")
                        .value(6))
                .andExpect(jsonPath("$.neighbours[?(@.shape=='x7677x')].kept").value(3))
                .andExpect(jsonPath("$.neighbours[?(@.shape=='x7677x')].inKey").value(false))
                .andExpect(jsonPath("$.neighbours[*].moved", everyItem(hasSize(1))));
    }

    @Test
    void neighbours_takeArraysAndOtherTunings() throws Exception {
        ask("neighbours", Map.of("frets", new Integer[] {0, 0, 0, 0, 0, 0}, "tuning", "D2 G2 D3 G3 B3 D4"))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.neighbours[*].names[0].symbol", hasItem("G7")));
    }

    @Test
    void kinds_sayFamilyStringsAndWhatIsLowest() throws Exception {
        ask("kinds", Map.of("chord", "G"))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.chord").value("G"))
                .andExpect(jsonPath("$.kinds[?(@.family=='open')].shapes[*].shape", hasItem("320003")))
                .andExpect(jsonPath("$.kinds[?(@.family=='triad')].strings", hasItems("321", "432", "543")))
                .andExpect(jsonPath("$.kinds[?(@.strings=='63')].shapes[*].inversion", hasItem(0)));
        ask("kinds", Map.of("chord", "")).andExpect(status().isUnprocessableEntity());
        ask("kinds", Map.of("chord", "Hx7")).andExpect(status().isUnprocessableEntity());
    }

    @Test
    void compare_saysBothShapesAndTheChangeBothWays() throws Exception {
        ask("compare", Map.of("frets", "x32010", "other", "x02210"))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.one.name").value("C"))
                .andExpect(jsonPath("$.other.name").value("Am"))
                .andExpect(jsonPath("$.one.notes", hasItems("C", "E", "G")))
                .andExpect(jsonPath("$.kept").value(3))
                .andExpect(jsonPath("$.there.grip.shape").value("x02210"))
                .andExpect(jsonPath("$.back.grip.shape").value("x32010"));
    }

    @Test
    void compare_withAShapeNoHandHolds_hasNoChange() throws Exception {
        ask("compare", Map.of("frets", "x32010", "other", "1-9-1-9-1-9"))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.there").isEmpty())
                .andExpect(jsonPath("$.back").isEmpty());
        ask("compare", Map.of("frets", "x32010", "other", "x0")).andExpect(status().isUnprocessableEntity());
    }

    @Test
    void twoFingers_reachFurther() throws Exception {
        ask("neighbours", Map.of("frets", "x32010", "fingers", 2))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.neighbours[*].shape", hasItem("x02210")));
    }

    @Test
    void desk_saysNamesDegreesBassesAndPlaces() throws Exception {
        ask("desk", Map.of("frets", "8-x-9-9-8-x"))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.names[0].symbol").value("Cmaj7"))
                .andExpect(jsonPath("$.names[0].degrees").value(is(List.of("1", "", "7", "3", "5", ""))))
                .andExpect(jsonPath("$.overBass", hasSize(12)))
                .andExpect(jsonPath("$.overBass[?(@.bass=='A')].symbol").value("Am9"))
                .andExpect(jsonPath("$.strings[*].note", hasItems("E2", "E4")))
                .andExpect(jsonPath("$.grips[0].fingers[0]").value("1"))
                .andExpect(jsonPath("$.sameGrip[?(@.shape=='x8x998')]").exists());
    }

    @Test
    void desk_oneStringOrNone_isNoError() throws Exception {
        ask("desk", Map.of("frets", "xxxxxx"))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.names", hasSize(0)))
                .andExpect(jsonPath("$.overBass", hasSize(0)));
        ask("desk", Map.of("frets", "xxx7xx")).andExpect(status().isOk());
        ask("neighbours", Map.of("frets", "xxxxxx")).andExpect(status().isOk());
    }

    @Test
    void ways_sayWhatEachFingerDoes() throws Exception {
        ask("ways", Map.of("frets", "x32010", "chord", "Am", "rung", 2))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.ways[0].grip.shape").value("x02210"))
                .andExpect(jsonPath("$.ways[0].acts[?(@.finger=='1')].act").value("stays"));
    }

    @ParameterizedTest
    @CsvSource({
        "neighbours, x3201, frets, 5 strings",
        "neighbours, x3201q, , neither a fret",
        "desk, x-32-x-x-x-x, frets, fret 32",
    })
    void badShapes_sayWhatAndWhere(String path, String frets, String field, String words) throws Exception {
        ResultActions answer = ask(path, Map.of("frets", frets))
                .andExpect(status().is4xxClientError())
                .andExpect(jsonPath("$.detail", containsString(words)));
        if (field != null) {
            answer.andExpect(jsonPath("$.field").value(field));
        }
    }

    @Test
    void badAsks_sayTheirField() throws Exception {
        ask("neighbours", Map.of("frets", "x32010", "fingers", 3))
                .andExpect(status().is4xxClientError())
                .andExpect(jsonPath("$.field").value("fingers"));
        ask("ways", Map.of("frets", "x32010"))
                .andExpect(status().is4xxClientError())
                .andExpect(jsonPath("$.field").value("chord"));
        ask("ways", Map.of("frets", "x32010", "chord", "Am", "limit", 0))
                .andExpect(status().is4xxClientError())
                .andExpect(jsonPath("$.field").value("limit"));
    }
}
