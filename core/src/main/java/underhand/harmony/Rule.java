package underhand.harmony;

import java.util.Objects;
import java.util.function.BiFunction;

/**
 * A rule of the trade: what may stand in a chord's place, and why. It never changes the chart.
 *
 * @param id as in {@code falling-line}
 * @param name in the words of players
 * @param lowestRung first rung it suits
 */
public record Rule(
        String id, String name, Family family, int lowestRung, BiFunction<Spot, Preferences, Outcome> judgement) {

    /** Down to what the hand can hold, or up to more colour. */
    public enum Family {
        SIMPLIFY,
        COLOUR
    }

    public Rule {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(name, "name");
        Objects.requireNonNull(family, "family");
        Objects.requireNonNull(judgement, "judgement");
    }

    Outcome judge(Spot spot, Preferences preferences) {
        return judgement.apply(spot, preferences);
    }
}
