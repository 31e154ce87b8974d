package underhand.server.platform;

import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Serves the description of the API as it was committed; a test holds it to the controllers. */
@RestController
class ApiDocument {

    @GetMapping(path = "/api/v1/openapi", produces = MediaType.APPLICATION_JSON_VALUE)
    Resource openapi() {
        return new ClassPathResource("api/openapi.json");
    }
}
