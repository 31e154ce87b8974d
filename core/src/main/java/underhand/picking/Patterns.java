package underhand.picking;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import underhand.chart.Metre;
import underhand.harmony.Style;
import underhand.table.Table;

/** The patterns that ship. */
public final class Patterns {

    private static final Map<String, PickingPattern> BY_ID = read();

    private Patterns() {}

    private static Map<String, PickingPattern> read() {
        Map<String, PickingPattern> byId = new LinkedHashMap<>();
        for (PickingPattern pattern : Table.read(Patterns.class, "patterns.csv", 10, Patterns::pattern)) {
            if (byId.put(pattern.id(), pattern) != null) {
                throw new IllegalStateException("patterns.csv has two patterns \"" + pattern.id() + "\"");
            }
        }
        for (PickingPattern pattern : byId.values()) {
            pattern.variation().filter(v -> !byId.containsKey(v)).ifPresent(v -> {
                throw new IllegalStateException("patterns.csv: " + pattern.id() + " varies with unknown " + v);
            });
        }
        return byId;
    }

    private static PickingPattern pattern(Table.Row row) {
        return new PickingPattern(
                row.cell(0),
                row.cell(1),
                Metre.parse(row.cell(2)),
                row.cell(3).equals("swing"),
                row.words(4).stream().map(Style::of).collect(Collectors.toSet()),
                row.number(5),
                row.number(6),
                row.number(7),
                Optional.of(row.cell(8)).filter(v -> !v.isEmpty()),
                StepReader.read(row.cell(9)));
    }

    public static List<PickingPattern> all() {
        return List.copyOf(BY_ID.values());
    }

    public static Optional<PickingPattern> of(String id) {
        return Optional.ofNullable(BY_ID.get(id));
    }
}
