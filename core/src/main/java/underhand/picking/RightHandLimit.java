package underhand.picking;

import java.util.List;
import underhand.hand.Rung;
import underhand.table.Table;

/**
 * What a right hand of a rung may be asked for.
 *
 * @param strokesASecond most strokes a second
 * @param fastSeconds notes closer than this are fast: no finger plucks two of them in a row
 */
public record RightHandLimit(int rung, double strokesASecond, double fastSeconds) {

    private static final List<RightHandLimit> ALL = Table.read(
            RightHandLimit.class,
            "right-hand.csv",
            3,
            row -> new RightHandLimit(row.number(0), row.decimal(1), row.decimal(2)));

    public static RightHandLimit of(Rung rung) {
        return ALL.get(rung.level() - 1);
    }
}
