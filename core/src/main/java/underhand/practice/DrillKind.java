package underhand.practice;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import underhand.input.RangeException;
import underhand.table.Table;

/** What is done in a drill; what it is about, minutes and words stand in {@code drills.csv}. */
public enum DrillKind {
    ANCHOR,
    GUIDE,
    TOGETHER,
    PRESS,
    HALF,
    BARRE,
    LOOP,
    INBAR,
    MOVED,
    SLID,
    PATTERN,
    TUNE,
    FILL,
    TIMED;

    /** What a drill of a kind is about. */
    enum About {
        /** From one grip to another. */
        CHANGE,
        /** One grip. */
        GRIP,
        /** A pattern of the right hand. */
        HAND,
        /** Notes one after another. */
        NOTES
    }

    /**
     * @param minutes it takes, with its rests
     * @param does what to do, in a sentence
     */
    private record Row(DrillKind kind, About about, double minutes, String does) {}

    private static final List<Row> ROWS = Table.read(
            DrillKind.class,
            "drills.csv",
            4,
            row -> new Row(
                    valueOf(row.cell(0)),
                    About.valueOf(row.cell(1)),
                    row.decimal(2),
                    row.cell(3).replace(';', ',')));

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

    About about() {
        return row().about();
    }

    /** Whether it is the right hand's. */
    public boolean isOfRightHand() {
        return about() == About.HAND;
    }

    /** Whether it practises something as the song has it, not a part of what is hard about it. */
    boolean isWhole() {
        return this == LOOP || this == INBAR || about() == About.HAND || about() == About.NOTES;
    }

    private Row row() {
        return ROWS.stream().filter(r -> r.kind() == this).findFirst().orElseThrow();
    }
}
