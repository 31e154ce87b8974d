package underhand.server;

import static org.springframework.http.MediaType.APPLICATION_JSON;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.Map;
import org.springframework.test.web.servlet.ResultActions;

/** Calls of the drill book that its tests make. */
abstract class DrillCalls extends ArrangementCalls {

    final JsonNode plan(String query) throws Exception {
        return json.readTree(mvc.perform(get("/api/v1/drills/plan" + query))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString());
    }

    final ResultActions log(Map<String, Object> run) throws Exception {
        return mvc.perform(
                post("/api/v1/drills/log").contentType(APPLICATION_JSON).content(json.writeValueAsBytes(run)));
    }

    final JsonNode newPlayer(String practice) throws Exception {
        String limits = "{\"name\":\"Own\",\"rung\":3,\"comfortableMm\":100,\"widestMm\":130,\"changeFactor\":1,"
                + "\"thumb\":false,\"leftHanded\":false,\"practice\":" + practice + "}";
        return json.readTree(mvc.perform(
                        post("/api/v1/players").contentType(APPLICATION_JSON).content("{\"limits\":" + limits + "}"))
                .andExpect(status().isCreated())
                .andReturn()
                .getResponse()
                .getContentAsString());
    }
}
