package underhand.solo;

import java.util.List;
import java.util.Locale;
import underhand.hand.Rung;
import underhand.input.RangeException;
import underhand.table.Table;

/**
 * What stands under a tune on a rung.
 *
 * @param inner notes wanted between bass and tune where a chord begins
 * @param mostInner most of them
 * @param together whether they are struck with the tune, not in its gaps alone
 */
record Manner(int rung, Bass bass, int inner, int mostInner, boolean together, String words) {

    /** Which bass is played on strong beats. */
    enum Bass {
        NONE,
        OPEN,
        ANY
    }

    private static final List<Manner> ALL = Table.read(
            Manner.class,
            "manners.csv",
            6,
            row -> new Manner(
                    row.number(0),
                    Bass.valueOf(row.cell(1).toUpperCase(Locale.ROOT)),
                    row.number(2),
                    row.number(3),
                    row.cell(4).equals("yes"),
                    row.cell(5)));

    static Manner of(Rung rung) {
        return ALL.stream()
                .filter(m -> m.rung() == rung.level())
                .findFirst()
                .orElseThrow(() -> RangeException.outside("rung", Integer.toString(rung.level()), "1 to 5"));
    }

    /** Most strings that sound under the tune at once. */
    int mostUnder() {
        return mostInner + (bass == Bass.NONE ? 0 : 1);
    }
}
