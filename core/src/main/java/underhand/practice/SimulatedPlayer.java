package underhand.practice;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;
import underhand.hand.Parameters;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.move.ChangeModel;
import underhand.practice.Run.Result;

/**
 * A hand that stands in for a player: it gets faster by the power law of practice (A. Newell and P. S. Rosenbloom, "Mechanisms of
 * skill acquisition and the law of practice", 1981; from memory), each change for itself, and is never twice the same. The same
 * seed gives the same runs.
 */
public final class SimulatedPlayer {

    /** Exponent of the law: practised ten times as often, a change takes half the time that can still be won (memory). */
    private static final double LEARNS = 0.3;

    /** How much slower a change is that was never practised. */
    private static final double UNPRACTISED = 0.8;

    /** Spread of its times. */
    private static final double NOISE = 0.08;

    /** A change takes less than this part of the beat it has: clean; less than all of it: rough. */
    private static final double AT_EASE = 0.85;

    private static final double BEATS_A_CHANGE = 1;

    private static final int DAYS_A_WEEK = 7;
    private static final int DAYS_OF_PRACTICE = 4;
    private static final int DRILLS_A_DAY = 5;
    private static final Duration MINUTES_A_DRILL = Duration.ofMinutes(4);

    private final Rung rung;
    private final double factor;
    private final Random random;
    private final Map<String, Integer> practised = new HashMap<>();

    /** @param factor how much longer, above 1, or shorter it takes than its rung's default once it has learnt a change */
    public SimulatedPlayer(Rung rung, double factor, long seed) {
        this.rung = rung;
        this.factor = factor;
        this.random = new Random(seed);
    }

    /** Runs a drill once. */
    public Run run(String drill, int tempo, Instant at) {
        DrillId id = DrillId.parse(drill);
        if (id.left().isEmpty()) {
            return new Run(
                    drill, random.nextInt(4) == 0 ? Result.ROUGH : Result.CLEAN, tempo, OptionalDouble.empty(), at);
        }
        String change = drill.substring(drill.indexOf(':'));
        int times = practised.merge(change, 1, Integer::sum);
        ChangeModel model = new ChangeModel(id.board(), rung, Player.ADULT, Parameters.STANDARD);
        double learnt =
                factor * model.neededSeconds(id.left().get(), id.reached().orElseThrow());
        double seconds = learnt
                * (1 + UNPRACTISED * Math.pow(times, -LEARNS) * unlearnt(times))
                * Math.exp(NOISE * random.nextGaussian());
        double there = BEATS_A_CHANGE * 60 / Math.max(1, tempo);
        Result result = seconds < AT_EASE * there ? Result.CLEAN : seconds < there ? Result.ROUGH : Result.MISSED;
        return new Run(drill, result, tempo, OptionalDouble.of(Math.max(0.02, Math.min(60, seconds))), at);
    }

    /**
     * What it runs in some weeks up to a time: on four days of seven five drills, the first of them most often, each at the tempo
     * that its log says.
     */
    public List<Run> practise(List<DrillPlan.Candidate> candidates, int weeks, Instant until) {
        List<Drill> drills =
                candidates.stream().map(DrillPlan.Candidate::drill).distinct().toList();
        List<Run> runs = new ArrayList<>();
        for (int day = DAYS_A_WEEK * weeks; day > 0 && !drills.isEmpty(); day--) {
            if (random.nextInt(DAYS_A_WEEK) < DAYS_OF_PRACTICE) {
                DrillLog log = new DrillLog(runs, ZoneOffset.UTC);
                Instant at = until.minus(Duration.ofDays(day));
                for (int i = 0; i < DRILLS_A_DAY; i++) {
                    int place = (int) (Math.abs(random.nextGaussian()) * drills.size() / 3);
                    Drill drill = drills.get(Math.min(drills.size() - 1, place));
                    runs.add(run(drill.id(), log.tempo(drill), at.plus(MINUTES_A_DRILL.multipliedBy(i))));
                }
            }
        }
        return runs;
    }

    /** After some dozens of times nothing is left to be won. */
    private static double unlearnt(int times) {
        return Math.max(0, 1 - times / 60.0);
    }
}
