package underhand.server;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.servers.Server;
import java.util.List;
import java.util.TreeMap;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.context.annotation.Bean;

/** Makes the OpenAPI document from the controllers; the application itself serves the committed one. */
@TestConfiguration
class ApiDescription {

    @Bean
    OpenAPI api() {
        return new OpenAPI()
                .info(new Info()
                        .title("Underhand")
                        .version("1")
                        .description("Arranges a song's chart into a part a guitarist can play"))
                .servers(List.of(new Server().url("/")));
    }

    /**
     * Schemas in the order of their names, so that the committed document changes only with the API; answers have all
     * their fields always, so that the front end's types need no guards.
     */
    @Bean
    @SuppressWarnings("unchecked")
    OpenApiCustomizer answersAreComplete() {
        return api -> {
            api.getComponents().setSchemas(new TreeMap<>(api.getComponents().getSchemas()));
            api.getComponents().getSchemas().forEach((name, schema) -> {
                if (!name.endsWith("Request") && schema.getProperties() != null) {
                    schema.setRequired(List.copyOf(schema.getProperties().keySet()));
                }
            });
        };
    }
}
