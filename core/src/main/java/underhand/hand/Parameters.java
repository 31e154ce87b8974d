package underhand.hand;

import java.util.Collections;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import underhand.table.Table;

/** The numbers of the effort model by name, as {@code effort-parameters.csv} documents them one by one. */
public final class Parameters {

    public static final Parameters STANDARD = load();

    private final Map<String, Double> values;

    private Parameters(Map<String, Double> values) {
        this.values = values;
    }

    private static Parameters load() {
        Map<String, Double> values = new TreeMap<>();
        Table.read(Parameters.class, "effort-parameters.csv", 3, row -> {
            if (values.put(row.cell(0), row.decimal(1)) != null) {
                throw new IllegalArgumentException("parameter " + row.cell(0) + " stands twice");
            }
            if (row.cell(2).isEmpty()) {
                throw new IllegalArgumentException("parameter " + row.cell(0) + " has no meaning written down");
            }
            return row.cell(0);
        });
        return new Parameters(values);
    }

    /** @throws IllegalArgumentException when no parameter has this name */
    public double get(String name) {
        Double value = values.get(name);
        if (value == null) {
            throw new IllegalArgumentException("no parameter is called " + name + "; there are " + values.keySet());
        }
        return value;
    }

    /** The same parameters but for one. */
    public Parameters with(String name, double value) {
        get(name);
        Map<String, Double> changed = new TreeMap<>(values);
        changed.put(name, value);
        return new Parameters(changed);
    }

    public Set<String> names() {
        return Collections.unmodifiableSet(values.keySet());
    }
}
