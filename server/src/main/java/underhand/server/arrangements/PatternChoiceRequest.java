package underhand.server.arrangements;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import underhand.chart.Metre;
import underhand.hand.Rung;
import underhand.picking.PatternPlan;
import underhand.picking.Patterns;
import underhand.picking.PickingPattern;
import underhand.server.platform.InputException;

/**
 * What the right hand plays: a pattern that ships, or one of the player's own.
 *
 * @param section name of the sections that play it; null for all that have none of their own
 * @param pattern id of a pattern that ships
 * @param own a pattern of the player's, in place of an id
 * @param vary whether every fourth bar is varied, where the pattern has a variation
 */
public record PatternChoiceRequest(
        @Schema(nullable = true) String section,
        @Schema(nullable = true) String pattern,
        @Schema(nullable = true) OwnPattern own,
        @Schema(nullable = true) Boolean vary) {

    private static final int MOST = 64;
    private static final int LONGEST_NAME = 60;

    /**
     * A pattern written down.
     *
     * @param metre such as 4/4
     * @param steps separated by spaces: a dot for nothing, D or U for a strum, r b l m h or string numbers for plucked
     *     strings; with > x _ or ^ behind
     */
    public record OwnPattern(
            String name,
            String metre,
            String steps,
            @Schema(nullable = true) Boolean swing) {

        /** @throws RuntimeException saying what cannot be read, and where */
        public PickingPattern toPattern() {
            if (name == null || name.isBlank() || name.length() > LONGEST_NAME) {
                throw InputException.field("name", "A pattern needs a name of 1 to " + LONGEST_NAME + " characters.");
            }
            if (metre == null || steps == null) {
                throw InputException.field("steps", "A pattern needs its metre, such as 4/4, and its steps.");
            }
            return PickingPattern.parse(
                    "own", name.strip(), Metre.parse(metre).toString(), Boolean.TRUE.equals(swing), Rung.LOWEST, steps);
        }
    }

    PatternPlan.Choice toChoice() {
        if ((pattern == null) == (own == null)) {
            throw InputException.field(
                    "patterns", "A choice of pattern has either the id of a pattern, or an own one.");
        }
        PickingPattern chosen = own != null
                ? own.toPattern()
                : Patterns.of(pattern)
                        .orElseThrow(() ->
                                InputException.field("patterns.pattern", "There is no pattern \"" + pattern + "\"."));
        Optional<PickingPattern> variation =
                Boolean.TRUE.equals(vary) ? chosen.variation().flatMap(Patterns::of) : Optional.empty();
        return new PatternPlan.Choice(chosen, variation);
    }

    /** The plan a list of choices makes; the last of several for a section holds. */
    public static PatternPlan plan(List<PatternChoiceRequest> choices) {
        if (choices == null || choices.isEmpty()) {
            return PatternPlan.OPEN;
        }
        if (choices.size() > MOST) {
            throw InputException.field("patterns", "A song has at most " + MOST + " choices of pattern.");
        }
        Optional<PatternPlan.Choice> everywhere = Optional.empty();
        Map<String, PatternPlan.Choice> sections = new HashMap<>();
        for (PatternChoiceRequest choice : choices) {
            if (choice.section() == null) {
                everywhere = Optional.of(choice.toChoice());
            } else {
                sections.put(choice.section(), choice.toChoice());
            }
        }
        return new PatternPlan(everywhere, sections);
    }
}
