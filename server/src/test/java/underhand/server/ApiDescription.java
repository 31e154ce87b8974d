package underhand.server;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.ObjectSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.servers.Server;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeMap;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.context.annotation.Bean;
import underhand.settings.HouseRule;

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
            api.getComponents().getSchemas().put("HouseRulesRequest", houseRules());
            api.getComponents().getSchemas().values().forEach(ApiDescription::referToHouseRules);
            capoIsAFretOrAuto(api.getComponents().getSchemas().get("PreviewRequest"));
            api.getComponents().getSchemas().values().forEach(ApiDescription::sayWhereReferencesMayBeNull);
            api.getComponents().getSchemas().forEach((name, schema) -> {
                if (!name.endsWith("Request") && schema.getProperties() != null) {
                    schema.setRequired(List.copyOf(schema.getProperties().keySet()));
                }
            });
        };
    }

    /** The core says which house rules there are; one that is missing or null is inherited. */
    @SuppressWarnings("unchecked")
    private static Schema<?> houseRules() {
        Schema<?> rules = new ObjectSchema();
        for (HouseRule<?> rule : HouseRule.all()) {
            Schema<?> answer = new Schema<>().types(new LinkedHashSet<>(List.of(type(rule), "null")));
            if (!rule.sides().isEmpty()) {
                rule.sides().forEach(side -> ((Schema<Object>) answer).addEnumItemObject(side));
            }
            rules.addProperty(rule.id(), answer);
        }
        return rules;
    }

    private static String type(HouseRule<?> rule) {
        if (rule.usual() instanceof Boolean) {
            return "boolean";
        }
        return rule.usual() instanceof Number ? "number" : "string";
    }

    @SuppressWarnings("unchecked")
    private static void referToHouseRules(Schema<?> schema) {
        if (schema.getProperties() != null && schema.getProperties().containsKey("houseRules")) {
            schema.getProperties().put("houseRules", new Schema<>().$ref("#/components/schemas/HouseRulesRequest"));
        }
    }

    /** A reference that may be null is one or the other; readers of the description overlook a type beside a reference. */
    @SuppressWarnings("unchecked")
    private static void sayWhereReferencesMayBeNull(Schema<?> schema) {
        if (schema.getProperties() == null) {
            return;
        }
        schema.getProperties().replaceAll((name, property) -> {
            boolean mayBeNull = property.get$ref() != null
                    && property.getTypes() != null
                    && property.getTypes().contains("null");
            return mayBeNull
                    ? new Schema<>()
                            .anyOf(List.of(
                                    new Schema<>().$ref(property.get$ref()), new Schema<>().types(Set.of("null"))))
                    : property;
        });
    }

    @SuppressWarnings("unchecked")
    private static void capoIsAFretOrAuto(Schema<?> preview) {
        Schema<?> capo = new Schema<>().types(new LinkedHashSet<>(List.of("integer", "string", "null")));
        capo.setExample("auto");
        preview.getProperties().put("capo", capo);
    }
}
