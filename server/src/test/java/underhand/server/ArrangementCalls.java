package underhand.server;

import static org.springframework.http.MediaType.APPLICATION_JSON;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import com.fasterxml.jackson.databind.ObjectMapper;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;

/** What tests of the calls about arrangements share. */
abstract class ArrangementCalls {

    @Autowired
    MockMvc mvc;

    @Autowired
    ObjectMapper json;

    ResultActions call(String path, String body) throws Exception {
        return mvc.perform(post("/api/v1/arrangements/" + path)
                .contentType(APPLICATION_JSON)
                .content(body));
    }
}
