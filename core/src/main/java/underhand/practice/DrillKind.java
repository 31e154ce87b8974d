package underhand.practice;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import underhand.input.RangeException;
import underhand.table.Table;

/** What is done in a drill; minutes and words stand in {@code drills.csv}. */
public enum DrillKind {
    ANCHOR,
    GUIDE,
    TOGETHER,
    HALF,
    BARRE,
    LOOP,
    PATTERN;

    /**
     * @param minutes it takes, with its rests
     * @param does what to do, in a sentence
     */
    private record Row(DrillKind kind, double minutes, String does) {}

    private static final List<Row> ROWS = Table.read(
            DrillKind.class,
            "drills.csv",
            3,
            row -> new Row(valueOf(row.cell(0)), row.decimal(1), row.cell(2).replace(';', ',')));

    static DrillKind parse(String id) {
        return Arrays.stream(values())
                .filter(k -> k.id().equals(id))
                .findFirst()
                .orElseThrow(() -> RangeException.outside("drill", id, "one that a plan has given"));
    }

    public String id() {
        return name().toLowerCase(Locale.ROOT);
    }

    public double minutes() {
        return row().minutes();
    }

    public String does() {
        return row().does();
    }

    /** Whether it is the right hand's. */
    public boolean isOfRightHand() {
        return this == PATTERN;
    }

    private Row row() {
        return ROWS.stream().filter(r -> r.kind() == this).findFirst().orElseThrow();
    }
}
