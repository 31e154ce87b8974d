package underhand.server.players;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import underhand.settings.HouseRules;

/**
 * The house rules somebody answered, by their ids; a rule that is missing, or null, is inherited. The core says which rules
 * there are and what they take.
 *
 * @param answers as {@link HouseRules#read} takes them
 */
public record HouseRulesRequest(@JsonValue Map<String, Object> answers) {

    /** Nothing answered. */
    public static final HouseRulesRequest NONE = new HouseRulesRequest(Map.of());

    @JsonCreator(mode = JsonCreator.Mode.DELEGATING)
    static HouseRulesRequest of(ObjectNode sent) {
        Map<String, Object> answers = new LinkedHashMap<>();
        sent.properties().stream()
                .filter(answer -> !answer.getValue().isNull())
                .forEach(answer -> answers.put(answer.getKey(), plain(answer.getValue())));
        return new HouseRulesRequest(answers);
    }

    /** What was said before, and stored. */
    public static HouseRulesRequest said(Map<String, Object> answers) {
        Map<String, Object> said = new LinkedHashMap<>(answers);
        said.values().removeIf(Objects::isNull);
        return new HouseRulesRequest(said);
    }

    private static Object plain(JsonNode answer) {
        return switch (answer.getNodeType()) {
            case BOOLEAN -> answer.booleanValue();
            case NUMBER -> answer.doubleValue();
            case STRING -> answer.textValue();
            default -> answer.toString();
        };
    }

    /** @throws RuntimeException naming the rule that is out of range */
    public HouseRules toRules() {
        return HouseRules.read(answers);
    }
}
