package underhand.practice;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
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
final class SimulatedPlayer {

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
    private static final int MINUTES_A_DAY = 20;
    private static final Duration MINUTES_A_DRILL = Duration.ofMinutes(4);

    private final Rung rung;
    private final double factor;
    private final Random random;
    private final Map<String, Double> practised = new HashMap<>();
    private final Map<String, Double> learnt = new HashMap<>();

    /** @param factor how much longer, above 1, or shorter it takes than its rung's default once it has learnt a change */
    SimulatedPlayer(Rung rung, double factor, long seed) {
        this.rung = rung;
        this.factor = factor;
        this.random = new Random(seed);
    }

    /** Runs a drill once. */
    Run run(String drill, int tempo, Instant at) {
        DrillId id = DrillId.parse(drill);
        if (id.reached().isEmpty()) {
            return new Run(
                    drill, random.nextInt(4) == 0 ? Result.ROUGH : Result.CLEAN, tempo, OptionalDouble.empty(), at);
        }
        repeat(drill, 1);
        double seconds = seconds(drill) * Math.exp(NOISE * random.nextGaussian());
        double there = BEATS_A_CHANGE * 60 / Math.max(1, tempo);
        Result result = seconds < AT_EASE * there ? Result.CLEAN : seconds < there ? Result.ROUGH : Result.MISSED;
        return new Run(drill, result, tempo, OptionalDouble.of(Math.max(0.02, Math.min(60, seconds))), at);
    }

    /** Practises a change for a part of what a run of a drill is. */
    void repeat(String drill, double ofARun) {
        practised.merge(DrillId.changeOf(drill), ofARun, Double::sum);
    }

    /** What a change takes by now, on the average. */
    double seconds(String drill) {
        double times = Math.max(1, practised.getOrDefault(DrillId.changeOf(drill), 0.0));
        return learntSeconds(drill) * (1 + UNPRACTISED * Math.pow(times, -LEARNS) * unlearnt(times));
    }

    /** What a change takes once nothing is left to be won. */
    double learntSeconds(String drill) {
        return factor
                * learnt.computeIfAbsent(DrillId.changeOf(drill), change -> {
                    DrillId id = DrillId.parse(drill);
                    ChangeModel model = new ChangeModel(id.board(), rung, Player.ADULT, Parameters.STANDARD);
                    return model.neededSeconds(
                            id.left().orElseThrow(), id.reached().orElseThrow());
                });
    }

    /** The tempo at which a change of so many seconds is clean. */
    static double cleanTo(double seconds) {
        return AT_EASE * BEATS_A_CHANGE * 60 / seconds;
    }

    /** What it runs in some weeks up to a time: on four days of seven what the plan has for a short session. */
    List<Run> practise(List<DrillPlan.Candidate> candidates, int weeks, Instant until) {
        List<Run> runs = new ArrayList<>();
        for (int day = DAYS_A_WEEK * weeks; day > 0; day--) {
            if (random.nextInt(DAYS_A_WEEK) < DAYS_OF_PRACTICE) {
                Instant at = until.minus(Duration.ofDays(day));
                LocalDate date = at.atOffset(ZoneOffset.UTC).toLocalDate();
                DrillLog log = new DrillLog(runs, ZoneOffset.UTC);
                for (DrillPlan.Planned planned : DrillPlan.of(candidates, log, DrillPlan.Day.of(date, MINUTES_A_DAY))
                        .drills()) {
                    runs.add(run(planned.drill().id(), planned.tempo(), at));
                    at = at.plus(MINUTES_A_DRILL);
                }
            }
        }
        return runs;
    }

    /** After some dozens of times nothing is left to be won. */
    private static double unlearnt(double times) {
        return Math.max(0, 1 - times / 60);
    }
}
