package underhand.practice;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.stat.regression.SimpleRegression;

/**
 * The tempo a song holds, and the day on which it will hold its own, by the log: a straight line through the tempos of the clean
 * runs of each change, carried on to the song's tempo (least squares; the spread is that of a single further run).
 *
 * @param holds beats a minute that the slowest change holds: its fastest clean run, where it was never run what the hand is
 *     expected to hold
 * @param tempo of the song
 * @param day empty unless {@link State#SOON}
 */
public record Forecast(int holds, int tempo, State state, Optional<Day> day) {

    /** How much is known. */
    public enum State {
        /** Every change holds the song's tempo. */
        HOLDS,
        /** It will, on some day. */
        SOON,
        /** Some change has too few clean runs to tell. */
        TOO_FEW,
        /** Some change does not get faster, as far as the log tells. */
        NOT_FASTER
    }

    /**
     * A day and the days between which it lies four times in five.
     *
     * @param late empty where the log does not rule out that it never comes
     */
    public record Day(LocalDate expected, LocalDate early, Optional<LocalDate> late) {}

    /** Days with a clean run before anything is said. */
    public static final int FEWEST_DAYS = 5;

    /** The slope of the line is not taken for chance below this. */
    private static final double CHANCE = 0.1;

    /** Share of further runs that lie above the lower and below the upper bound. */
    private static final double BOUND = 0.9;

    /** Runs that lie on a line as good as exactly, in beats squared. */
    private static final double EXACT = 1e-9;

    /** Nobody plans further ahead. */
    private static final int FURTHEST = 730;

    /** A change with its drills' fastest clean run and what the hand is expected to hold. */
    private record Held(String change, int holds) {}

    /** @param drills of one song; none for a song that has nothing to practise, which holds its tempo */
    public static Forecast of(List<Drill> drills, int tempo, DrillLog log, LocalDate today) {
        Map<String, Held> changes = changes(drills, tempo, log);
        boolean isMeasured = changes.keySet().stream().anyMatch(change -> log.bestOfChange(change) > 0);
        int holds = slowest(changes, tempo);
        List<Forecast> open = changes.values().stream()
                .filter(held -> held.holds() < tempo)
                .map(held -> ofChange(held, holds, tempo, log, today))
                .toList();
        if (!isMeasured && !changes.isEmpty()) {
            return new Forecast(holds, tempo, State.TOO_FEW, Optional.empty());
        }
        return open.stream()
                .max(Comparator.comparing(Forecast::state)
                        .thenComparing(f -> f.day().map(Day::expected).orElse(today)))
                .orElse(new Forecast(holds, tempo, State.HOLDS, Optional.empty()));
    }

    /** Beats a minute that a song's slowest change holds by a log. */
    static int holds(List<Drill> drills, int tempo, DrillLog log) {
        return slowest(changes(drills, tempo, log), tempo);
    }

    private static int slowest(Map<String, Held> changes, int tempo) {
        return changes.values().stream().mapToInt(Held::holds).min().orElse(tempo);
    }

    private static Map<String, Held> changes(List<Drill> drills, int tempo, DrillLog log) {
        Map<String, Held> changes = new LinkedHashMap<>();
        for (Drill drill : drills) {
            if (drill.kind().about() == DrillKind.About.CHANGE) {
                String change = DrillId.changeOf(drill.id());
                changes.putIfAbsent(change, new Held(change, Math.min(tempo, log.held(drill))));
            }
        }
        return changes;
    }

    private static Forecast ofChange(Held held, int holds, int tempo, DrillLog log, LocalDate today) {
        Map<LocalDate, Integer> tempos = log.cleanTempos(held.change());
        if (tempos.size() < FEWEST_DAYS) {
            return new Forecast(holds, tempo, State.TOO_FEW, Optional.empty());
        }
        Trend trend = Trend.of(tempos, today);
        double day = trend.reaches(tempo, 0);
        if (!trend.rises() || day > FURTHEST) {
            return new Forecast(holds, tempo, State.NOT_FASTER, Optional.empty());
        }
        double late = trend.reaches(tempo, -trend.bound());
        return new Forecast(
                holds,
                tempo,
                State.SOON,
                Optional.of(new Day(
                        on(day, today),
                        on(trend.reaches(tempo, trend.bound()), today),
                        late > FURTHEST ? Optional.empty() : Optional.of(on(late, today)))));
    }

    /** A line through the tempos of days. */
    private record Trend(SimpleRegression line, double meanDay) {

        static Trend of(Map<LocalDate, Integer> tempos, LocalDate today) {
            SimpleRegression line = new SimpleRegression();
            double sum = 0;
            for (Map.Entry<LocalDate, Integer> best : tempos.entrySet()) {
                long day = ChronoUnit.DAYS.between(today, best.getKey());
                line.addData(day, best.getValue());
                sum += day;
            }
            return new Trend(line, sum / tempos.size());
        }

        boolean rises() {
            boolean isExact = line.getMeanSquareError() < EXACT;
            return line.getSlope() > 0 && (isExact || line.getSignificance() < CHANCE);
        }

        double bound() {
            return new TDistribution(line.getN() - 2.0).inverseCumulativeProbability(BOUND);
        }

        /** The first day from today on which the line, so many standard deviations of a further run up, reaches a tempo. */
        double reaches(int tempo, double deviations) {
            int day = 0;
            while (day <= FURTHEST && line.predict(day) + deviations * deviation(day) < tempo) {
                day++;
            }
            return day;
        }

        private double deviation(double day) {
            double away = (day - meanDay) * (day - meanDay) / line.getXSumSquares();
            return Math.sqrt(line.getMeanSquareError() * (1 + 1.0 / line.getN() + away));
        }
    }

    private static LocalDate on(double day, LocalDate today) {
        return today.plusDays((long) day);
    }
}
