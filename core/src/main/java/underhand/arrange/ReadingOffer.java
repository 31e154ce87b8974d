package underhand.arrange;

import underhand.harmony.Reading;
import underhand.harmony.Rule;

/**
 * A reading of a placement with what it would cost.
 *
 * @param rule the rule that proposes it
 * @param price how much dearer the whole song becomes when it is taken here and at its repeats; negative where it is
 *     easier; infinite where no hand can play it
 */
public record ReadingOffer(Reading reading, Rule rule, double price) {}
