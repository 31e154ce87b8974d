package underhand.solo;

import java.util.List;
import java.util.Locale;
import underhand.hand.Rung;
import underhand.input.RangeException;
import underhand.settings.SoloAsk;
import underhand.table.Table;

/**
 * What stands under a tune on a rung.
 *
 * @param under chords, or open strings that go on
 * @param inner notes wanted between bass and tune where a chord begins
 * @param mostInner most of them
 * @param together whether they are struck with the tune, not in its gaps alone
 */
record Manner(SoloAsk.Under under, int rung, Bass bass, int inner, int mostInner, boolean together, String words) {

    /** Which bass is played on strong beats. */
    enum Bass {
        NONE,
        /** Open strings where the chord has them. */
        OPEN,
        /** Open strings of the key, whatever the chord is. */
        DRONE,
        ANY
    }

    private static final double WORSE = 0.34;

    /** How far up the neck a tune along a string goes; further the body is in the way. */
    private static final int ALONG_A_STRING = 12;

    private static final List<Manner> ALL = Table.read(
            Manner.class,
            "manners.csv",
            7,
            row -> new Manner(
                    SoloAsk.Under.parse(row.cell(0)),
                    row.number(1),
                    Bass.valueOf(row.cell(2).toUpperCase(Locale.ROOT)),
                    row.number(3),
                    row.number(4),
                    row.cell(5).equals("yes"),
                    row.cell(6)));

    static Manner of(Rung rung, SoloAsk.Under under) {
        return ALL.stream()
                .filter(m -> m.rung() == rung.level() && m.under() == under)
                .findFirst()
                .orElseThrow(() -> RangeException.outside("rung", Integer.toString(rung.level()), "1 to 5"));
    }

    /** Whether what stands under the tune is open strings alone. */
    boolean isOpen() {
        return bass == Bass.OPEN || bass == Bass.DRONE;
    }

    /** Whether strong beats inside a chord have a bass of their own. */
    boolean hasBasses() {
        return bass == Bass.ANY || bass == Bass.DRONE;
    }

    /** Highest fret of the hand: along one or two strings it goes up the neck on every rung. */
    int highestFret(Rung of) {
        return under == SoloAsk.Under.DRONES ? Math.max(of.highestFret(), ALONG_A_STRING) : of.highestFret();
    }

    /** Strings from the highest on which the tune is at home: over open strings that go on it keeps to two. */
    int singing() {
        return under == SoloAsk.Under.DRONES ? 2 : 3;
    }

    /** An octave in which this share more of the tune lies badly is not tried. */
    double slack() {
        return under == SoloAsk.Under.DRONES ? 0 : WORSE;
    }

    /** Most strings that sound under the tune at once. */
    int mostUnder() {
        return mostInner + (bass == Bass.NONE ? 0 : 1);
    }
}
