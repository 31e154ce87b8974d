package underhand.arrange;

import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import underhand.hand.FingeredChords;
import underhand.hand.Parameters;
import underhand.hand.Textbook;
import underhand.neck.Shape;
import underhand.solve.PlacedGrip;

/**
 * Fits hand, sound and habit to what a teacher struck, on the charts that may be fitted to, together with the fingers of the open
 * data set: a seeded random walk from the numbers that ship, which keeps what is better. Numbers under which a chord of {@code
 * teacher-parts.tsv} or a textbook fingering is lost are no better. Prints the fitted values; they are written into {@code
 * effort-parameters.csv} by hand.
 *
 * <p>Usage: {@code ./underhand fit-strikes [trials]}.
 */
public final class StrikeFit {

    private static final List<String> FITTED = List.of(
            "finger.2",
            "finger.3",
            "finger.4",
            "spread",
            "barre.1.base",
            "barre.1.string",
            "barre.2",
            "barre.3",
            "barre.4",
            "barre.other.string",
            "barre.nearNut",
            "barre.hollow",
            "barre.beside",
            "posture.stretched",
            "posture.drawnIn",
            "posture.home",
            "posture.turned",
            "tilt.ringHigh",
            "tilt.littleLow",
            "skip",
            "change.land",
            "change.travel",
            "change.shift.mm",
            "change.barre",
            "change.cross",
            "route.change",
            "sound.short",
            "sound.thin",
            "sound.top",
            "sound.inner",
            "sound.gap",
            "sound.openHigh",
            "sound.openReach",
            "sound.bass",
            "sound.fifth",
            "sound.mud",
            "sound.second",
            "sound.low",
            "sound.clash",
            "sound.unison",
            "late",
            "habit.new.1",
            "habit.new.2",
            "habit.new.3",
            "habit.new.4",
            "habit.strange");

    private static final long SEED = 20261127;
    private static final double WIDTH = 0.3;
    private static final List<String> FITTED_KEYS = List.of("C", "D", "E", "F#", "Ab", "Bb");

    /** Worth of a struck grip that is no longer chosen, against an accepted one that is. */
    private static final double STRUCK = 2;

    /** Worth of the data set's share of fingers, first and among two, against an accepted grip. */
    private static final double FINGERS = 300;

    /** Price of a value e times as large or small as the one that ships. */
    private static final double FAR = 1;

    private StrikeFit() {}

    public static void main(String[] args) {
        int trials = args.length > 0 ? Integer.parseInt(args[0]) : 150;
        Random random = new Random(SEED);
        Parameters best = Parameters.STANDARD;
        double score = score(best, Double.NEGATIVE_INFINITY);
        System.out.printf("before: %.2f%n", score);
        for (int trial = 0; trial < trials; trial++) {
            Parameters tried = best;
            for (int change = 0; change <= random.nextInt(4); change++) {
                String name = FITTED.get(random.nextInt(FITTED.size()));
                tried = tried.with(name, tried.get(name) * Math.exp(WIDTH * random.nextGaussian()));
            }
            double triedScore = score(tried, score);
            if (triedScore > score) {
                best = tried;
                score = triedScore;
                System.out.printf("trial %d: %.2f %s%n", trial, score, changed(best));
            }
        }
    }

    private static Map<String, String> changed(Parameters parameters) {
        return FITTED.stream()
                .filter(name -> parameters.get(name) != Parameters.STANDARD.get(name))
                .collect(Collectors.toMap(name -> name, name -> String.format("%.3f", parameters.get(name))));
    }

    /** @param least below this the exact value does not matter */
    private static double score(Parameters parameters, double least) {
        double fingers = fingers(parameters) - FAR * distance(parameters);
        if (fingers + mostOfStrikes() < least || !keepsWhatIsTaught(parameters)) {
            return Double.NEGATIVE_INFINITY;
        }
        Judge judge = new Judge(parameters);
        return fingers
                + RedPen.strikes().parallelStream()
                        .filter(s -> !s.where().isForJudging())
                        .mapToDouble(s -> score(s, judge.now(s)))
                        .sum();
    }

    private static boolean keepsWhatIsTaught(Parameters parameters) {
        return Textbook.firstOrTied(parameters).size() == Textbook.ALL.size()
                && TeacherParts.ALL.parallelStream()
                        .allMatch(p -> TeacherParts.agreeing(p, parameters)
                                == p.chords().size());
    }

    private static double fingers(Parameters parameters) {
        FingeredChords.Agreement agreement = FingeredChords.agreement(parameters, p -> FITTED_KEYS.contains(p.key()));
        return FINGERS * (agreement.firstShare() + agreement.amongTwoShare());
    }

    private static double distance(Parameters parameters) {
        return FITTED.stream()
                .mapToDouble(name -> Math.log(parameters.get(name) / Parameters.STANDARD.get(name)))
                .map(log -> log * log)
                .sum();
    }

    private static double mostOfStrikes() {
        return RedPen.strikes().stream().filter(s -> !s.where().isForJudging()).count();
    }

    private static double score(RedPen.Strike strike, PlacedGrip now) {
        Shape shape = now.grip().orElseThrow().grip().shape();
        return strike.struck().equals(shape) ? -STRUCK : strike.accepted().contains(shape) ? 1 : 0;
    }
}
