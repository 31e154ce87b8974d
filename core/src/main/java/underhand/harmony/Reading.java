package underhand.harmony;

import java.util.List;
import java.util.Objects;
import underhand.chord.ChordSymbol;

/**
 * One way to read a placement: the chords that fill its time, such as Am7 then D7 for a bar of D7.
 *
 * @param id which reading of which rule it is; {@link ReadingId#ORIGINAL} for the chord of the chart itself
 * @param steps chords in order; their lengths add up to the placement's
 * @param reason one sentence built from the actual chords; blank for the original
 * @param overStill whether it is a part of what goes on for as long as the chord stands still, and is taken with the other parts
 */
public record Reading(ReadingId id, List<Step> steps, String reason, boolean overStill) {

    /**
     * One chord of a reading.
     *
     * @param beats how long the chord lasts
     * @param bond to the chord after it
     */
    public record Step(ChordSymbol chord, double beats, Form form, Bond bond) {

        public Step(ChordSymbol chord, double beats) {
            this(chord, beats, Form.WHOLE);
        }

        public Step(ChordSymbol chord, double beats, Form form) {
            this(chord, beats, form, Bond.FREE);
        }

        public Step {
            Objects.requireNonNull(chord, "chord");
            Objects.requireNonNull(form, "form");
            Objects.requireNonNull(bond, "bond");
            if (!(beats > 0)) {
                throw new IllegalArgumentException("beats must be more than 0, was " + beats);
            }
        }
    }

    public Reading {
        Objects.requireNonNull(id, "id");
        steps = List.copyOf(steps);
        Objects.requireNonNull(reason, "reason");
        if (steps.isEmpty()) {
            throw new IllegalArgumentException("a reading has at least one chord: " + id);
        }
    }

    public static Reading original(ChordSymbol chord, double beats) {
        return new Reading(ReadingId.ORIGINAL, List.of(new Step(chord, beats)), "", false);
    }

    /** Chords with glyphs, {@code Am7 · D7}. */
    public String chords() {
        return String.join(" · ", steps.stream().map(s -> s.chord().glyphs()).toList());
    }

    /** Whether it is only what it is called if its grips are bound to each other. */
    public boolean isBound() {
        return steps.stream().anyMatch(s -> s.bond() != Bond.FREE);
    }

    public boolean isOriginal() {
        return id.equals(ReadingId.ORIGINAL);
    }

    public double beats() {
        return steps.stream().mapToDouble(Step::beats).sum();
    }
}
