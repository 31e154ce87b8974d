package underhand.arrange;

import java.util.List;
import java.util.Random;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import underhand.hand.Parameters;
import underhand.hand.Textbook;
import underhand.repertoire.RatedGrip;
import underhand.solve.PlacedGrip;
import underhand.solve.SolvedPart;

/**
 * Fits the sound's, the habit's and the change's part of {@code effort-parameters.csv} to {@code teacher-parts.tsv}: a
 * seeded random walk that keeps what is better. A part counts by the chords that get an accepted shape, by the textbook
 * fingers they get, and by how clearly the accepted shape wins. Prints the fitted values, or with {@code
 * leave-one-out} how each row does when it was not among those fitted on.
 *
 * <p>Usage: {@code ./underhand fit-parts [trials] [leave-one-out]}.
 */
public final class PartFit {

    private record Start(String name, double value) {}

    /** What is fitted, and the plausible value each fit starts from and is held near to (memory). */
    private static final List<Start> FITTED = List.of(
            new Start("sound.short", 1.5),
            new Start("sound.thin", 4),
            new Start("sound.top", 3),
            new Start("sound.inner", 4),
            new Start("sound.unison", 3),
            new Start("sound.gap", 1),
            new Start("sound.openHigh", 0.8),
            new Start("sound.bass", 4),
            new Start("sound.fifth", 1),
            new Start("habit.new.1", 3),
            new Start("habit.new.2", 3),
            new Start("habit.new.3", 3),
            new Start("habit.fingers.1", 2),
            new Start("habit.fingers.2", 1.7),
            new Start("habit.fingers.3", 1.3),
            new Start("change.shift.mm", 0.02),
            new Start("change.barre", 0.4),
            new Start("route.change", 0.7));

    private static final long SEED = 20261125;
    private static final double WIDTH = 0.3;

    /** Worth of one chord winning clearly, against one chord agreeing. */
    private static final double CLEAR = 0.05;

    /** Worth of one chord with textbook fingers, against one with an accepted shape. */
    private static final double FINGERS = 0.5;

    /** Price of a value e times as large or small as its start: fits stay near what is plausible. */
    private static final double FAR = 0.1;

    /** A lead this large is clear. */
    private static final double CLEAR_LEAD = 2;

    private PartFit() {}

    public static void main(String[] args) {
        int trials = args.length > 0 ? Integer.parseInt(args[0]) : 400;
        if (args.length > 1 && args[1].equals("leave-one-out")) {
            int seen = 0;
            for (TeacherParts.Part left : TeacherParts.ALL) {
                Parameters fitted = fit(trials, p -> !p.id().equals(left.id()));
                int agreeing = TeacherParts.agreeing(left, fitted);
                seen += agreeing;
                System.out.printf(
                        "%s left out: %d of %d%n",
                        left.id(), agreeing, left.chords().size());
            }
            System.out.printf("left out, all rows: %d%n", seen);
            return;
        }
        Parameters fitted = fit(trials, p -> true);
        FITTED.forEach(start -> System.out.printf("%s,%.3f%n", start.name(), fitted.get(start.name())));
        System.out.printf("agreeing: %d%n", agreeing(fitted, p -> true));
    }

    private static Parameters fit(int trials, Predicate<TeacherParts.Part> which) {
        Random random = new Random(SEED);
        Parameters best = start();
        double score = score(best, which);
        for (int trial = 0; trial < trials; trial++) {
            Parameters tried = best;
            for (int change = 0; change <= random.nextInt(3); change++) {
                String name = FITTED.get(random.nextInt(FITTED.size())).name();
                tried = tried.with(name, tried.get(name) * Math.exp(WIDTH * random.nextGaussian()));
            }
            double triedScore = score(tried, which);
            if (triedScore >= score) {
                best = tried;
                score = triedScore;
            }
        }
        return best;
    }

    private static Parameters start() {
        Parameters parameters = Parameters.STANDARD;
        for (Start start : FITTED) {
            parameters = parameters.with(start.name(), start.value());
        }
        return parameters;
    }

    private static int agreeing(Parameters parameters, Predicate<TeacherParts.Part> which) {
        return TeacherParts.ALL.stream()
                .filter(which)
                .mapToInt(p -> TeacherParts.agreeing(p, parameters))
                .sum();
    }

    private static double score(Parameters parameters, Predicate<TeacherParts.Part> which) {
        return TeacherParts.ALL.parallelStream()
                        .filter(which)
                        .mapToDouble(part -> score(part, parameters))
                        .sum()
                - FAR * distance(parameters);
    }

    private static double distance(Parameters parameters) {
        return FITTED.stream()
                .mapToDouble(start -> Math.log(parameters.get(start.name()) / start.value()))
                .map(log -> log * log)
                .sum();
    }

    private static double score(TeacherParts.Part part, Parameters parameters) {
        SolvedPart solved =
                new Arranger(parameters).solve(TeacherParts.chart(part.chords()), part.settings(), part.capo());
        return IntStream.range(0, part.chords().size())
                .mapToDouble(i -> score(part, i, solved.placements().get(i)))
                .sum();
    }

    private static double score(TeacherParts.Part part, int at, PlacedGrip placed) {
        RatedGrip chosen = placed.grip().orElseThrow();
        double fingers = Textbook.ALL.stream()
                        .filter(e -> e.shape().equals(chosen.grip().shape()))
                        .allMatch(e -> e.accepted().contains(chosen.grip().fingers()))
                ? FINGERS
                : 0;
        boolean accepted = part.accepted().get(at).contains(chosen.grip().shape());
        double lead = placed.alternatives().stream()
                .filter(a -> accepted
                        != part.accepted().get(at).contains(a.grip().grip().shape()))
                .mapToDouble(PlacedGrip.Alternative::price)
                .min()
                .orElse(CLEAR_LEAD);
        double clear = CLEAR * Math.min(lead, CLEAR_LEAD);
        return fingers + (accepted ? 1 + clear : -clear);
    }
}
