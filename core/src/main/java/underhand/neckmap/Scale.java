package underhand.neckmap;

import java.util.List;
import java.util.stream.Collectors;
import underhand.input.FormatException;
import underhand.pitch.Interval;
import underhand.pitch.Note;
import underhand.table.Table;

/**
 * A scale by its common name, {@code scales.csv}.
 *
 * @param intervals above its root, ascending, the root first
 */
record Scale(String name, List<Interval> intervals) {

    private static final List<Scale> ALL = Table.read(
            Scale.class,
            "scales.csv",
            2,
            row -> new Scale(
                    row.cell(0), row.words(1).stream().map(Interval::parse).toList()));

    public Scale {
        intervals = List.copyOf(intervals);
    }

    /** Every scale that has a name, the plainest first. */
    public static List<Scale> all() {
        return ALL;
    }

    /** @throws FormatException when there is no scale of this name */
    public static Scale of(String name) {
        return ALL.stream()
                .filter(s -> s.name().equalsIgnoreCase(name.strip()))
                .findFirst()
                .orElseThrow(() -> FormatException.inText(
                        "scale",
                        name,
                        0,
                        "there is no scale \"" + name + "\"; there are "
                                + ALL.stream().map(Scale::name).collect(Collectors.joining(", "))));
    }

    /** Its notes from a root. */
    public Tones on(Note root) {
        return Tones.of(root, intervals);
    }
}
