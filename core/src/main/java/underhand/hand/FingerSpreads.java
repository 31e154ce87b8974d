package underhand.hand;

import java.util.Arrays;
import java.util.List;
import underhand.input.RangeException;
import underhand.table.Table;

/**
 * How far each pair of fingers reaches apart, in millimetres, {@code [lower finger - 1][higher finger - 1]}.
 *
 * <p>Up to the comfortable distance a spread costs nothing; past the widest it is impossible.
 */
public final class FingerSpreads {

    /** An adult hand, {@code finger-spreads.csv}. */
    public static final FingerSpreads ADULT = load();

    private static final int FINGERS = 4;

    private final double[][] comfortable;
    private final double[][] widest;

    private FingerSpreads(double[][] comfortable, double[][] widest) {
        this.comfortable = comfortable;
        this.widest = widest;
    }

    private record Row(int lower, int higher, double comfortableMm, double widestMm) {}

    private static FingerSpreads load() {
        List<Row> rows = Table.read(
                FingerSpreads.class,
                "finger-spreads.csv",
                4,
                row -> new Row(row.number(0), row.number(1), row.decimal(2), row.decimal(3)));
        double[][] comfortable = new double[FINGERS][FINGERS];
        double[][] widest = new double[FINGERS][FINGERS];
        for (Row row : rows) {
            comfortable[row.lower() - 1][row.higher() - 1] = row.comfortableMm();
            widest[row.lower() - 1][row.higher() - 1] = row.widestMm();
        }
        return new FingerSpreads(comfortable, widest);
    }

    /** The same proportions for a hand whose fingers 1 and 4 reach this far at ease and at most. */
    public FingerSpreads scaledTo(double comfortable14Mm, double widest14Mm) {
        if (!(comfortable14Mm > 0) || !(widest14Mm >= comfortable14Mm) || widest14Mm > 250) {
            throw new RangeException(
                    "widestMm",
                    "spreads of fingers 1 and 4 must be 0 < comfortable <= widest <= 250 mm," + " were "
                            + comfortable14Mm + " and " + widest14Mm);
        }
        return new FingerSpreads(
                scale(comfortable, comfortable14Mm / comfortableMm(1, 4)), scale(widest, widest14Mm / widestMm(1, 4)));
    }

    /** The same hand with another reach of one pair of fingers, in mm. */
    public FingerSpreads with(int lower, int higher, double comfortablePairMm, double widestPairMm) {
        if (lower < 1 || higher <= lower || higher > FINGERS) {
            throw new RangeException(
                    "pairs", "a pair of fingers is 1-2 to 3-4, the lower first, was " + lower + "-" + higher);
        }
        if (!(comfortablePairMm > 0) || !(widestPairMm >= comfortablePairMm) || widestPairMm > 250) {
            throw new RangeException(
                    "pairs",
                    "spreads of fingers " + lower + " and " + higher
                            + " must be 0 < comfortable <= widest <= 250 mm, were " + comfortablePairMm + " and "
                            + widestPairMm);
        }
        double[][] newComfortable = scale(comfortable, 1);
        double[][] newWidest = scale(widest, 1);
        newComfortable[lower - 1][higher - 1] = comfortablePairMm;
        newWidest[lower - 1][higher - 1] = widestPairMm;
        return new FingerSpreads(newComfortable, newWidest);
    }

    private static double[][] scale(double[][] values, double factor) {
        return Arrays.stream(values)
                .map(row -> Arrays.stream(row).map(v -> v * factor).toArray())
                .toArray(double[][]::new);
    }

    public double comfortableMm(int lower, int higher) {
        return comfortable[lower - 1][higher - 1];
    }

    public double widestMm(int lower, int higher) {
        return widest[lower - 1][higher - 1];
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof FingerSpreads s
                && Arrays.deepEquals(comfortable, s.comfortable)
                && Arrays.deepEquals(widest, s.widest);
    }

    @Override
    public int hashCode() {
        return 31 * Arrays.deepHashCode(comfortable) + Arrays.deepHashCode(widest);
    }
}
