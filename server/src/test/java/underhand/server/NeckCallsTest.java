package underhand.server;

import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.everyItem;
import static org.hamcrest.Matchers.greaterThanOrEqualTo;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.is;
import static org.hamcrest.Matchers.nullValue;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.ResultActions;

/** The calls of the neck map. */
@ServerTest
class NeckCallsTest extends ArrangementCalls {

    private ResultActions ask(String call, String body) throws Exception {
        return mvc.perform(post("/api/v1/neck/" + call)
                .contentType(MediaType.APPLICATION_JSON)
                .content(body));
    }

    @Test
    void tunings_haveNamesStringsAndOpenChords() throws Exception {
        mvc.perform(get("/api/v1/neck/tunings"))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.length()", greaterThanOrEqualTo(24)))
                .andExpect(jsonPath("$[0].name", is("standard")))
                .andExpect(jsonPath("$[?(@.name == 'open D')].open", hasItem("D")));
    }

    @Test
    void map_ofAChord_hasRootsFormsTriadsAndALine() throws Exception {
        ask("map", "{\"chord\":\"C\",\"fret\":8}")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.tones[*].degree", is(List.of("1", "3", "5"))))
                .andExpect(jsonPath("$.dots[?(@.root == true && @.string == 6)].fret", hasItem(8)))
                .andExpect(jsonPath("$.positions[*].label", hasItem("E form at 8")))
                .andExpect(jsonPath("$.forms[0].whole.shape", is("x32010")))
                .andExpect(jsonPath("$.forms[1].upper.grip.fingers.length()", is(6)))
                .andExpect(jsonPath("$.triads[?(@.strings == '321')].shape.shape", hasItem("xxx553")))
                .andExpect(jsonPath("$.line[0].fret", is(8)));
    }

    @Test
    void map_ofAScale_inAnotherTuning() throws Exception {
        ask("map", "{\"root\":\"G\",\"scale\":\"major pentatonic\",\"tuning\":\"open G\",\"fret\":0}")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.strings[0].note", is("D2")))
                .andExpect(jsonPath("$.forms.length()", is(0)))
                .andExpect(jsonPath("$.positions[0].label", containsString("root on string")))
                .andExpect(jsonPath("$.line[*].finger", everyItem(greaterThanOrEqualTo(0))));
    }

    @Test
    void barres_areATable() throws Exception {
        mvc.perform(get("/api/v1/neck/barres"))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.shapes[0].shape.shape", is("133211")))
                .andExpect(jsonPath("$.roots[0].names", is(List.of("F", "B♭"))));
    }

    @Test
    void chordsOfASong_haveScalesAndGripsAtAPlace() throws Exception {
        ask("chords", "{\"chords\":[\"A\",\"D\",\"Dm\"],\"key\":\"A\",\"fret\":5}")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.chords[2].scales[0].watch[0].plays", is("F")))
                .andExpect(jsonPath("$.chords[2].scales[0].watch[0].insteadOf", is("F♯")))
                .andExpect(jsonPath("$.chords[0].grip.shape", is("577655")));
        ask("chords", "{\"chords\":[\"A\"],\"key\":\"A\"}").andExpect(jsonPath("$.chords[0].grip", nullValue()));
    }

    @Test
    void whatIsWrong_isSaid() throws Exception {
        ask("map", "{}").andExpect(status().isUnprocessableEntity());
        ask("map", "{\"root\":\"C\",\"scale\":\"sideways\"}")
                .andExpect(status().is4xxClientError())
                .andExpect(jsonPath("$.detail", containsString("dorian")));
        ask("map", "{\"chord\":\"C\",\"fret\":99}").andExpect(status().is4xxClientError());
        ask("chords", "{\"chords\":[],\"key\":\"A\"}").andExpect(status().is4xxClientError());
        ask("chords", "{\"chords\":[\"A\"]}").andExpect(status().is4xxClientError());
    }
}
