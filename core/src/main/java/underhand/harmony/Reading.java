package underhand.harmony;

import java.util.List;
import java.util.Objects;
import underhand.chord.ChordSymbol;

/**
 * One way to read a placement: the chords that fill its time, such as Am7 then D7 for a bar of D7.
 *
 * @param rule id of the rule that proposes it; {@link #ORIGINAL} for the chord of the chart itself
 * @param steps chords in order; their lengths add up to the placement's
 * @param reason one sentence built from the actual chords; blank for the original
 */
public record Reading(String rule, List<Step> steps, String reason) {

    public static final String ORIGINAL = "original";

    /**
     * One chord of a reading.
     *
     * @param beats how long the chord lasts
     */
    public record Step(ChordSymbol chord, double beats, Form form) {

        public Step(ChordSymbol chord, double beats) {
            this(chord, beats, Form.WHOLE);
        }

        public Step {
            Objects.requireNonNull(chord, "chord");
            Objects.requireNonNull(form, "form");
            if (!(beats > 0)) {
                throw new IllegalArgumentException("beats must be more than 0, was " + beats);
            }
        }
    }

    public Reading {
        Objects.requireNonNull(rule, "rule");
        steps = List.copyOf(steps);
        Objects.requireNonNull(reason, "reason");
        if (steps.isEmpty()) {
            throw new IllegalArgumentException("a reading has at least one chord: " + rule);
        }
    }

    public static Reading original(ChordSymbol chord, double beats) {
        return new Reading(ORIGINAL, List.of(new Step(chord, beats)), "");
    }

    /** Chords with glyphs, {@code Am7 · D7}. */
    public String chords() {
        return String.join(" · ", steps.stream().map(s -> s.chord().glyphs()).toList());
    }

    /** The rule it comes from: its id may name a variant after a colon. */
    public String family() {
        int colon = rule.indexOf(':');
        return colon < 0 ? rule : rule.substring(0, colon);
    }

    public boolean isOriginal() {
        return rule.equals(ORIGINAL);
    }

    public double beats() {
        return steps.stream().mapToDouble(Step::beats).sum();
    }
}
