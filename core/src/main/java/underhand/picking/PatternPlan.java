package underhand.picking;

import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import underhand.chart.Chart;

/**
 * Which pattern the right hand plays where. Sections of one name share theirs.
 *
 * @param everywhere for sections without a pattern of their own; empty for a stroke a beat
 * @param sections by the name of the section
 */
public record PatternPlan(Optional<Choice> everywhere, Map<String, Choice> sections) {

    /** A stroke on every beat of the song. */
    public static final PatternPlan BEAT = new PatternPlan(Optional.empty(), Map.of());

    private static final int VARIED_BAR = 4;

    /**
     * A pattern and how it is played.
     *
     * @param variation pattern of every fourth bar of a section, where that is wanted
     */
    public record Choice(PickingPattern pattern, Optional<PickingPattern> variation) {

        public Choice {
            Objects.requireNonNull(pattern, "pattern");
            Objects.requireNonNull(variation, "variation");
        }
    }

    public PatternPlan {
        Objects.requireNonNull(everywhere, "everywhere");
        sections = Map.copyOf(sections);
    }

    public static PatternPlan of(PickingPattern pattern) {
        return new PatternPlan(Optional.of(new Choice(pattern, Optional.empty())), Map.of());
    }

    /** The pattern of a placement's bar, a stroke a beat in a metre that the chosen one does not fit. */
    public PickingPattern pattern(Chart.Slot slot) {
        Optional<Choice> choice =
                Optional.ofNullable(sections.get(slot.section())).or(() -> everywhere);
        boolean varied = slot.barInSection() % VARIED_BAR == 0;
        return choice.map(c -> varied ? c.variation().orElse(c.pattern()) : c.pattern())
                .filter(p -> p.metre().equals(slot.metre()))
                .orElseGet(() -> PickingPattern.beat(slot.metre()));
    }
}
