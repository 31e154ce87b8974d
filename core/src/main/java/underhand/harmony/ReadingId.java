package underhand.harmony;

import java.util.Objects;

/**
 * Which of its readings a rule proposes; written {@code falling-line:inside:2}, and told more closely
 * {@code falling-line:inside:2@string-3}.
 *
 * @param rule id of the rule
 * @param variant of its readings; blank where it proposes one
 */
public record ReadingId(String rule, String variant) {

    /** The chord of the chart itself. */
    public static final ReadingId ORIGINAL = new ReadingId("original", "");

    private static final String CLOSER = "@";

    public ReadingId {
        Objects.requireNonNull(rule, "rule");
        Objects.requireNonNull(variant, "variant");
    }

    /** Reads what {@link #toString} writes; any text is an id, of a rule there may not be. */
    public static ReadingId parse(String text) {
        int colon = text.indexOf(':');
        return colon < 0 ? new ReadingId(text, "") : new ReadingId(text.substring(0, colon), text.substring(colon + 1));
    }

    /** Whether it is a reading of another's rule, and of its variant or one of those, where that names one. */
    public boolean isOf(ReadingId wider) {
        return rule.equals(wider.rule)
                && (wider.variant.isEmpty()
                        || variant.equals(wider.variant)
                        || variant.startsWith(wider.variant + ":")
                        || variant.startsWith(wider.variant + CLOSER));
    }

    /** The same told more closely. */
    ReadingId closer(String how) {
        return new ReadingId(rule, variant + CLOSER + how);
    }

    /** Whether it tells another one more closely. */
    public boolean isCloser() {
        return variant.contains(CLOSER);
    }

    /** What it tells more closely; itself where that is nothing. */
    public ReadingId plain() {
        return isCloser() ? new ReadingId(rule, variant.substring(0, variant.indexOf(CLOSER))) : this;
    }

    @Override
    public String toString() {
        return variant.isEmpty() ? rule : rule + ":" + variant;
    }
}
