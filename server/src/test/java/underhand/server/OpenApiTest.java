package underhand.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

/** The committed description of the API is the one the server gives; {@code ./underhand openapi} writes it anew. */
@ServerTest
class OpenApiTest {

    private static final Path COMMITTED = Path.of("..", "web", "openapi.json");

    @Autowired
    private MockMvc mvc;

    @Test
    void openapi_committedDocument_isCurrent() throws Exception {
        byte[] served = mvc.perform(get("/described")).andReturn().getResponse().getContentAsByteArray();
        ObjectMapper json = new ObjectMapper()
                .enable(SerializationFeature.INDENT_OUTPUT)
                .enable(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS);
        String current = json.writeValueAsString(json.treeToValue(json.readTree(served), Object.class)) + "\n";
        if (Boolean.getBoolean("underhand.openapi.write")) {
            Files.writeString(COMMITTED, current);
        }
        assertEquals(
                Files.readString(COMMITTED, StandardCharsets.UTF_8),
                current,
                "web/openapi.json is stale; run ./underhand openapi");
    }
}
