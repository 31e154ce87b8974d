package underhand.server;

import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.hasSize;
import static org.hamcrest.Matchers.not;
import static org.springframework.http.MediaType.APPLICATION_JSON;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;

/** Rows of staff and tab over HTTP. */
@ServerTest
class EngravingCallsTest {

    private static final String SONG = "key: C\n[Verse]\n|: C | F | C :| x3\n[Chorus]\n| G | Am |";

    @Autowired
    private MockMvc mvc;

    @Autowired
    private ObjectMapper json;

    private ResultActions rows(double width, boolean writtenOut) throws Exception {
        Map<String, Object> song = Map.of("chart", Map.of("source", SONG), "rung", 2);
        return mvc.perform(post("/api/v1/parts/engraving")
                .contentType(APPLICATION_JSON)
                .content(json.writeValueAsBytes(Map.of("song", song, "width", width, "writtenOut", writtenOut))));
    }

    /** The verse stands once and is played three times; its heading and the chorus's stand over their rows. */
    @Test
    void repeats_standOnce() throws Exception {
        rows(900, false)
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.rows", hasSize(2)))
                .andExpect(jsonPath("$.rows[0].plays", hasSize(9)))
                .andExpect(jsonPath("$.rows[0].heading").value(containsString("Verse")))
                .andExpect(jsonPath("$.rows[1].bar").value(10))
                .andExpect(jsonPath("$.rows[0].texts[*].text", hasItem("×3")));
        rows(5000, true)
                .andExpect(jsonPath("$.rows", hasSize(2)))
                .andExpect(jsonPath("$.rows[0].texts[*].text", not(hasItem("×3"))));
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, 149.9, -1, 5000.1, 1e300})
    void aWidthNoPageHas_isRefused(double width) throws Exception {
        rows(width, false)
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail").value(containsString("width must be 150 to 5000 points")));
    }
}
