package underhand.practice;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import underhand.hand.Grip;
import underhand.hand.Parameters;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.move.ChangeModel;

/**
 * What measured changes say of a player's speed: a linear regression of the seconds on the parts of the change model's time, drawn
 * towards the default where there are few runs (ridge regression; A. E. Hoerl and R. W. Kennard, Technometrics 12, 1970; from
 * memory). It counts only when it tells runs it has not seen better than the default does.
 *
 * @param terms of the model's time
 * @param count runs with measured seconds
 * @param used whether it tells held-back runs better than the default
 * @param error root mean square in seconds on held-back runs, and the default's
 * @param factor how much longer, above 1, or shorter this hand takes for the changes it ran than its rung's default
 */
public record Calibration(List<Term> terms, int count, boolean used, double error, double defaultError, double factor) {

    /**
     * A part of the time of a change.
     *
     * @param value times the default
     * @param error standard error of that
     */
    public record Term(String name, double value, double error, int count) {}

    /** Fewer runs say nothing. */
    public static final int FEWEST = 20;

    private static final List<String> NAMES = List.of("start", "fingers", "way");

    /** How far a hand is thought to be from the default before it was measured (memory). */
    private static final double PRIOR = 0.35;

    /** Every so many-th run is held back. */
    private static final int HELD_BACK = 5;

    private static final double LEAST_NOISE = 0.01;

    /** A hand is neither slower nor faster than a hand can be. */
    private static final double LEAST_FACTOR = 0.4;

    private static final double MOST_FACTOR = 2.5;

    /** Parts of a change's time by default, and what it took. */
    private record Sample(double[] parts, double seconds) {

        double predicted(RealVector values) {
            double sum = 0;
            for (int i = 0; i < parts.length; i++) {
                sum += parts[i] * values.getEntry(i);
            }
            return sum;
        }
    }

    /** The values that fit some samples best, and their errors. */
    private record Fit(RealVector values, double[] errors) {}

    /** @param rung whose times are the default */
    public static Calibration of(List<Run> runs, Rung rung) {
        List<Sample> samples = samples(runs, rung);
        RealVector usual = ones();
        if (samples.size() < FEWEST) {
            return new Calibration(
                    terms(new Fit(usual, new double[] {PRIOR, PRIOR, PRIOR}), samples.size()),
                    samples.size(),
                    false,
                    0,
                    0,
                    1);
        }
        List<Sample> seen = new ArrayList<>();
        List<Sample> heldBack = new ArrayList<>();
        for (int i = 0; i < samples.size(); i++) {
            (i % HELD_BACK == HELD_BACK - 1 ? heldBack : seen).add(samples.get(i));
        }
        double error = rms(heldBack, fit(seen).values());
        double defaultError = rms(heldBack, usual);
        Fit all = fit(samples);
        boolean used = error < defaultError;
        double ofHand =
                samples.stream().mapToDouble(s -> s.predicted(all.values())).sum();
        double ofDefault = samples.stream().mapToDouble(s -> s.predicted(usual)).sum();
        double factor = used ? Math.max(LEAST_FACTOR, Math.min(MOST_FACTOR, ofHand / ofDefault)) : 1;
        return new Calibration(terms(all, samples.size()), samples.size(), used, error, defaultError, factor);
    }

    private static List<Term> terms(Fit fit, int count) {
        List<Term> terms = new ArrayList<>();
        for (int i = 0; i < NAMES.size(); i++) {
            terms.add(new Term(NAMES.get(i), fit.values().getEntry(i), fit.errors()[i], count));
        }
        return terms;
    }

    private static List<Sample> samples(List<Run> runs, Rung rung) {
        List<Sample> samples = new ArrayList<>();
        for (Run run : runs) {
            DrillId id = DrillId.parse(run.drill());
            if (run.seconds().isPresent() && id.reached().isPresent()) {
                Grip left = id.left().orElseThrow();
                Grip reached = id.reached().get();
                ChangeModel model = new ChangeModel(id.board(), rung, Player.ADULT, Parameters.STANDARD);
                ChangeModel.TimeParts parts = model.timeParts(left, reached);
                if (parts.total() > 0) {
                    double[] all = {parts.start(), parts.fingers(), parts.way()};
                    samples.add(new Sample(all, run.seconds().getAsDouble()));
                }
            }
        }
        return samples;
    }

    private static RealVector ones() {
        return new ArrayRealVector(NAMES.size(), 1.0);
    }

    private static double rms(List<Sample> samples, RealVector values) {
        return Math.sqrt(samples.stream()
                .mapToDouble(s -> Math.pow(s.seconds() - s.predicted(values), 2))
                .average()
                .orElse(0));
    }

    /** Twice: the first time the noise is what the default leaves unexplained, then what the first fit leaves. */
    private static Fit fit(List<Sample> samples) {
        double noise = Math.max(LEAST_NOISE, rms(samples, ones()));
        Fit first = fit(samples, noise);
        return fit(samples, Math.max(LEAST_NOISE, rms(samples, first.values())));
    }

    private static Fit fit(List<Sample> samples, double noise) {
        int terms = NAMES.size();
        RealMatrix x = new Array2DRowRealMatrix(samples.size(), terms);
        RealVector off = new ArrayRealVector(samples.size());
        for (int i = 0; i < samples.size(); i++) {
            x.setRow(i, samples.get(i).parts());
            off.setEntry(i, samples.get(i).seconds() - samples.get(i).predicted(ones()));
        }
        RealMatrix precision = x.transposeMultiply(x)
                .scalarMultiply(1 / (noise * noise))
                .add(MatrixUtils.createRealIdentityMatrix(terms).scalarMultiply(1 / (PRIOR * PRIOR)));
        RealMatrix covariance = new CholeskyDecomposition(precision).getSolver().getInverse();
        RealVector from = x.transpose().operate(off).mapMultiply(1 / (noise * noise));
        RealVector values = covariance.operate(from).add(ones());
        double[] errors = new double[terms];
        for (int i = 0; i < terms; i++) {
            errors[i] = Math.sqrt(covariance.getEntry(i, i));
        }
        return new Fit(values, errors);
    }
}
