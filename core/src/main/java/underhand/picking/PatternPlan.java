package underhand.picking;

import java.util.HashMap;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import underhand.chart.Chart;
import underhand.chart.Metre;

/**
 * Which pattern the right hand plays where. Sections of one name share theirs.
 *
 * @param everywhere for sections without a pattern of their own; empty where that is left open
 * @param sections by the name of the section
 * @param stops after which beat of its bar, counted from 1, the right hand leaves the left one time; by placement
 */
public record PatternPlan(Optional<Choice> everywhere, Map<String, Choice> sections, Map<Integer, Double> stops) {

    /** Nothing is chosen; until it is, a stroke a beat is played. */
    public static final PatternPlan OPEN = new PatternPlan(Optional.empty(), Map.of());

    /** A stroke on every beat of the song, whatever its metre. */
    public static final PatternPlan BEAT = of(PickingPattern.beat(Metre.parse("4/4")));

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
        stops = Map.copyOf(stops);
    }

    /** One that stops nowhere. */
    public PatternPlan(Optional<Choice> everywhere, Map<String, Choice> sections) {
        this(everywhere, sections, Map.of());
    }

    public static PatternPlan of(PickingPattern pattern) {
        return new PatternPlan(Optional.of(new Choice(pattern, Optional.empty())), Map.of());
    }

    /** Whether no pattern is chosen for a section. */
    public boolean isOpen(String section) {
        return everywhere.isEmpty() && !sections.containsKey(section);
    }

    /**
     * The same plan with patterns for sections that were left open.
     *
     * @param early as {@link #stops}
     */
    public PatternPlan with(Map<String, PickingPattern> chosen, Map<Integer, Double> early) {
        Map<String, Choice> all = new HashMap<>(sections);
        chosen.forEach((section, pattern) -> all.put(section, new Choice(pattern, Optional.empty())));
        return new PatternPlan(everywhere, all, early);
    }

    /** The pattern of a placement's bar, a stroke a beat in a metre that the chosen one does not fit. */
    public PickingPattern pattern(Chart.Slot slot) {
        Optional<Choice> choice =
                Optional.ofNullable(sections.get(slot.section())).or(() -> everywhere);
        boolean varied = slot.barInSection() % VARIED_BAR == 0;
        PickingPattern pattern = choice.map(c -> varied ? c.variation().orElse(c.pattern()) : c.pattern())
                .filter(p -> p.metre().equals(slot.metre()))
                .orElseGet(() -> PickingPattern.beat(slot.metre()));
        Double stop = stops.get(slot.index());
        return stop == null ? pattern : pattern.until(stop);
    }
}
