package underhand.hand;

import java.util.List;
import java.util.Random;
import java.util.function.Predicate;

/**
 * Fits the hand's part of {@code effort-parameters.csv} to the open data set of fingered chords: a seeded random walk that keeps
 * what is better, on half of the keys, judged on the other half. Prints the fitted values; they are written into the table by hand.
 *
 * <p>Usage: {@code ./underhand fit-fingers}.
 */
public final class FingeringFit {

    private static final List<String> FITTED = List.of(
            "barre.1.base",
            "barre.1.string",
            "barre.2",
            "barre.3",
            "barre.4",
            "barre.nearNut",
            "barre.other.string",
            "posture.stretched",
            "posture.drawnIn",
            "tilt.ringHigh",
            "tilt.littleLow",
            "crowding",
            "finger.2",
            "finger.3",
            "finger.4",
            "barre.hollow",
            "barre.beside",
            "posture.home",
            "posture.turned",
            "skip");

    private static final List<String> FITTED_KEYS = List.of("C", "D", "E", "F#", "Ab", "Bb");
    private static final long SEED = 20261125;
    private static final int TRIALS = 1500;

    /** Price of a value e times as large or small as the one that ships: fits stay near what is plausible. */
    private static final double FAR = 0.003;

    /** Standard deviation of a step, as a factor's logarithm. */
    private static final double WIDTH = 0.25;

    private FingeringFit() {}

    public static void main(String[] args) {
        Predicate<FingeredChords.Position> fitted = p -> FITTED_KEYS.contains(p.key());
        Parameters best = Parameters.STANDARD;
        double score = score(best, fitted);
        report("before", best);
        Random random = new Random(SEED);
        for (int trial = 0; trial < TRIALS; trial++) {
            Parameters tried = best;
            for (int change = 0; change <= random.nextInt(3); change++) {
                String name = FITTED.get(random.nextInt(FITTED.size()));
                tried = tried.with(name, tried.get(name) * Math.exp(WIDTH * random.nextGaussian()));
            }
            double triedScore = score(tried, fitted);
            if (triedScore >= score) {
                best = tried;
                score = triedScore;
            }
        }
        report("after", best);
        Parameters result = best;
        FITTED.forEach(name -> System.out.printf("%s,%.3f%n", name, result.get(name)));
    }

    private static double score(Parameters parameters, Predicate<FingeredChords.Position> which) {
        FingeredChords.Agreement agreement = FingeredChords.agreement(parameters, which);
        double textbook = (double) Textbook.firstOrTied(parameters).size() / Textbook.ALL.size();
        double distance = FITTED.stream()
                .mapToDouble(name -> Math.log(parameters.get(name) / Parameters.STANDARD.get(name)))
                .map(log -> log * log)
                .sum();
        return agreement.firstShare() + agreement.amongTwoShare() + textbook - FAR * distance;
    }

    private static void report(String when, Parameters parameters) {
        print(when + ", keys fitted on", FingeredChords.agreement(parameters, p -> FITTED_KEYS.contains(p.key())));
        print(when + ", keys not seen ", FingeredChords.agreement(parameters, p -> !FITTED_KEYS.contains(p.key())));
    }

    private static void print(String label, FingeredChords.Agreement a) {
        System.out.printf(
                "%s: first %.1f%%, among two %.1f%%, out of reach %d, of %d%n",
                label, 100 * a.firstShare(), 100 * a.amongTwoShare(), a.unreached(), a.all());
    }
}
