package underhand.server;

import static org.springframework.http.MediaType.APPLICATION_JSON;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

/** Who is let in; the tests' requests come in at port 80. */
@ServerTest
class VisitorsTest {

    @Autowired
    private MockMvc mvc;

    @ParameterizedTest
    @ValueSource(strings = {"localhost", "LOCALHOST:80", "127.0.0.1", "127.0.0.1:80", "[::1]:80"})
    void namesOfThisMachine_areAnswered(String host) throws Exception {
        mvc.perform(get("/api/v1/songs").header("Host", host)).andExpect(status().isOk());
    }

    /** A name that a page had led to this machine (DNS rebinding), another port, nothing at all. */
    @ParameterizedTest
    @ValueSource(
            strings = {"book.example", "localhost.example", "localhost:8484", "127.0.0.1.example:80", "192.168.1.7", ""
            })
    void otherNames_areRefusedInWords(String host) throws Exception {
        for (String path : new String[] {"/api/v1/songs", "/", "/actuator/health"}) {
            mvc.perform(get(path).header("Host", host))
                    .andExpect(status().isForbidden())
                    .andExpect(content().contentType("application/problem+json"))
                    .andExpect(jsonPath("$.detail").isNotEmpty());
        }
    }

    @ParameterizedTest
    @CsvSource({
        "http://localhost, same-origin, 204", "http://127.0.0.1:80, , 204", ", , 204", "http://book.example, , 403",
        "null, , 403", "http://localhost:9999, same-site, 403", ", cross-site, 403", "https://localhost.example, , 403",
    })
    void writes_needTheSameOriginOrNone(String origin, String site, int answer) throws Exception {
        var request = post("/api/v1/songs/1/practice").contentType(APPLICATION_JSON);
        if (origin != null) {
            request.header("Origin", origin);
        }
        if (site != null) {
            request.header("Sec-Fetch-Site", site);
        }
        mvc.perform(request).andExpect(status().is(answer));
    }

    @Test
    void nullWithoutAMeaning_isAnErrorWithItsPlace() throws Exception {
        mvc.perform(post("/api/v1/arrangements/preview")
                        .contentType(APPLICATION_JSON)
                        .content("{\"chart\":{\"source\":\"| C |\"},\"locks\":[{\"placement\":null}]}"))
                .andExpect(status().isBadRequest())
                .andExpect(
                        jsonPath("$.detail")
                                .value(
                                        "The field locks[0].placement cannot be null; leave it out where nothing is to be said."));
        mvc.perform(post("/api/v1/shapes/identify")
                        .contentType(APPLICATION_JSON)
                        .content("{\"frets\":[null,3,2,0,1,0]}"))
                .andExpect(status().isOk());
    }

    @Test
    void numbersTooLarge_areRefusedWithFieldAndRange() throws Exception {
        mvc.perform(post("/api/v1/arrangements/preview")
                        .contentType(APPLICATION_JSON)
                        .content("{\"chart\":{\"source\":\"| C |\"},\"rung\":3000000000}"))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.field").value("rung"));
    }
}
