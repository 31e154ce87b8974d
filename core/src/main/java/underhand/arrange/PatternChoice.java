package underhand.arrange;

import java.util.Objects;
import underhand.picking.PickingPattern;

/**
 * What the right hand plays in the sections of a name.
 *
 * @param own whether the player chose it
 * @param reason why it was chosen, in words; blank for the player's own
 */
public record PatternChoice(String section, PickingPattern pattern, boolean own, String reason) {

    public PatternChoice {
        Objects.requireNonNull(section, "section");
        Objects.requireNonNull(pattern, "pattern");
    }
}
