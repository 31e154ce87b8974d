package underhand.hand;

import java.util.List;
import java.util.Objects;
import underhand.input.RangeException;
import underhand.table.Table;

/**
 * One of the five levels: what a hand of that level may be asked for.
 *
 * @param level 1 to 5
 * @param mostFingers fingers a grip may use
 * @param longestBarre strings a barre may span; 0 for no barre at all
 * @param highestFret above the capo
 * @param changeSeconds time for a whole new grip: four fingers, a hand's width away
 */
public record Rung(int level, String name, int mostFingers, int longestBarre, int highestFret, double changeSeconds) {

    public static final int LOWEST = 1;
    public static final int HIGHEST = 5;

    private static final List<Rung> ALL = Table.read(
            Rung.class,
            "rungs.csv",
            6,
            row -> new Rung(row.number(0), row.cell(1), row.number(2), row.number(3), row.number(4), row.decimal(5)));

    public Rung {
        Objects.requireNonNull(name, "name");
        RangeException.check("rung", level, LOWEST, HIGHEST);
    }

    public static Rung of(int level) {
        RangeException.check("rung", level, LOWEST, HIGHEST);
        return ALL.get(level - 1);
    }

    public static List<Rung> all() {
        return ALL;
    }
}
