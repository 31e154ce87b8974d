package underhand.settings;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import underhand.input.RangeException;

/**
 * Where good players disagree, the stand of somebody: a player, a guitar, a song. What they say nothing to they inherit.
 * Immutable; two are equal that say the same.
 */
public final class HouseRules {

    /** Nothing said to anything. */
    public static final HouseRules NONE = new HouseRules(Map.of());

    /** Answers by the id of their rule. */
    private final Map<String, Object> said;

    private HouseRules(Map<String, Object> said) {
        this.said = Collections.unmodifiableMap(new TreeMap<>(said));
    }

    /**
     * @param answers by id of their rule, as {@link HouseRule#read} takes them
     * @throws IllegalArgumentException naming a rule there is not, or what a rule takes
     */
    public static HouseRules read(Map<String, ?> answers) {
        Map<String, Object> said = new TreeMap<>();
        answers.forEach((id, answer) -> {
            HouseRule<?> rule = HouseRule.of(id)
                    .orElseThrow(() -> new RangeException(
                            "houseRules." + id,
                            "There is no house rule \"" + id + "\"; there are "
                                    + String.join(
                                            ", ",
                                            HouseRule.all().stream()
                                                    .map(HouseRule::id)
                                                    .toList()) + "."));
            said.put(id, rule.read(answer));
        });
        return new HouseRules(said);
    }

    /** What was said, as {@link #read} takes it back. */
    public Map<String, Object> written() {
        Map<String, Object> written = new LinkedHashMap<>();
        HouseRule.all().stream()
                .filter(rule -> said.containsKey(rule.id()))
                .forEach(rule -> written.put(rule.id(), rule.written(said.get(rule.id()))));
        return written;
    }

    /** What holds of every rule, as {@link #read} takes it. */
    public Map<String, Object> holding() {
        Map<String, Object> holding = new LinkedHashMap<>();
        HouseRule.all().forEach(rule -> holding.put(rule.id(), rule.written(get(rule))));
        return holding;
    }

    /** What was said to a rule; empty where it is inherited. */
    @SuppressWarnings("unchecked")
    public <T> Optional<T> said(HouseRule<T> rule) {
        return Optional.ofNullable((T) said.get(rule.id()));
    }

    /** What holds: what was said, or what usually does. */
    public <T> T get(HouseRule<T> rule) {
        return said(rule).orElse(rule.usual());
    }

    /** The same with a rule answered. */
    public <T> HouseRules with(HouseRule<T> rule, T answer) {
        Map<String, Object> changed = new TreeMap<>(said);
        changed.put(rule.id(), rule.read(answer));
        return new HouseRules(changed);
    }

    /** What these say, and what others say where these say nothing. */
    public HouseRules over(HouseRules inherited) {
        Map<String, Object> merged = new TreeMap<>(inherited.said);
        merged.putAll(said);
        return new HouseRules(merged);
    }

    /** The same without answers that usually hold anyway: the last word, which nobody inherits from any more. */
    HouseRules settled() {
        Map<String, Object> unusual = new TreeMap<>(said);
        HouseRule.all().forEach(rule -> unusual.remove(rule.id(), rule.usual()));
        return new HouseRules(unusual);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof HouseRules rules && said.equals(rules.said);
    }

    @Override
    public int hashCode() {
        return said.hashCode();
    }

    @Override
    public String toString() {
        return written().toString();
    }
}
