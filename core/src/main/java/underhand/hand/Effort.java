package underhand.hand;

import java.util.Collections;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.Map;

/** The cost of a grip in units of one finger placed at ease, as a sum of named terms. */
public final class Effort {

    private final double[] values;
    private final double total;

    private Effort(double[] values, double total) {
        this.values = values;
        this.total = total;
    }

    /** Collects terms; adding to a term twice sums it. Building hands the values over: a builder is used once. */
    public static final class Builder {
        private final double[] values = new double[EffortTerm.COUNT];

        public Builder add(EffortTerm term, double value) {
            values[term.slot()] += value;
            return this;
        }

        public Builder addAll(Effort effort) {
            for (int slot = 0; slot < values.length; slot++) {
                values[slot] += effort.values[slot];
            }
            return this;
        }

        /** Sum of the terms so far. */
        public double total() {
            double sum = 0;
            for (double value : values) {
                sum += value;
            }
            return sum;
        }

        public Effort build() {
            return new Effort(values, total());
        }
    }

    public double total() {
        return total;
    }

    /** What it is made of, by the labels of its terms; terms that do not occur are left out. */
    public Map<String, Double> labelled() {
        Map<String, Double> labelled = new LinkedHashMap<>();
        terms().forEach((term, value) -> labelled.put(term.label(), value));
        return labelled;
    }

    /** Value of one term, 0 when it does not occur. */
    public double of(EffortTerm term) {
        return values[term.slot()];
    }

    /** The terms that are not 0, in the order of {@link EffortTerm}. */
    public Map<EffortTerm, Double> terms() {
        EnumMap<EffortTerm, Double> terms = new EnumMap<>(EffortTerm.class);
        for (EffortTerm term : EffortTerm.values()) {
            if (of(term) != 0) {
                terms.put(term, of(term));
            }
        }
        return Collections.unmodifiableMap(terms);
    }

    public boolean isPossible() {
        return !Double.isInfinite(total);
    }

    @Override
    public String toString() {
        return total + " " + terms();
    }
}
