package underhand.practice;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import underhand.hand.Rung;
import underhand.neck.Shape;
import underhand.neck.Tuning;
import underhand.practice.Run.Result;

/** Everything one player ran, and what follows for each drill. The first run of a day is the one that tells what was kept. */
public final class DrillLog {

    /** Part of the tempo that a clean run adds, and a missed one takes; each clean run in a row adds twice as much, up to a limit. */
    private static final double FASTER = 0.04;

    private static final double SLOWER = 0.08;
    private static final double MOST_FASTER = 0.16;
    private static final int SLOWEST = 30;

    /** A new drill of a change begins a little below what the change held in others. */
    private static final double NEAR = 0.9;

    /** Days on which a shape is reached cleanly before it is one's own (memory). */
    private static final int MASTERED_DAYS = 4;

    private final ZoneId zone;
    private final List<Run> runs;
    private final Map<String, List<Run>> ofDrill = new HashMap<>();
    private final Map<String, List<Run>> ofChange = new HashMap<>();

    /** @param zone whose days are counted */
    public DrillLog(List<Run> runs, ZoneId zone) {
        this.zone = zone;
        this.runs = runs.stream().sorted(Comparator.comparing(Run::at)).toList();
        this.runs.forEach(run -> {
            ofDrill.computeIfAbsent(run.drill(), d -> new ArrayList<>()).add(run);
            ofChange.computeIfAbsent(DrillId.changeOf(run.drill()), c -> new ArrayList<>())
                    .add(run);
        });
    }

    /**
     * What a simulated player of a rung's usual speed runs in some weeks up to a time.
     *
     * @param candidates drills of its songs
     */
    public static List<Run> simulated(List<DrillPlan.Candidate> candidates, Rung rung, int weeks, Instant until) {
        return new SimulatedPlayer(rung, 1, weeks).practise(candidates, weeks, until);
    }

    public List<Run> runs() {
        return runs;
    }

    LocalDate day(Run run) {
        return run.at().atZone(zone).toLocalDate();
    }

    /**
     * When a drill comes again.
     *
     * @param days from the last time to the next
     * @param ease how much longer each interval is than the one before
     */
    public record Due(LocalDate day, int days, double ease) {}

    /** When a drill comes again; empty when it was never run. */
    public Optional<Due> due(String drill) {
        return spacing(drill).map(s -> new Due(s.due(), s.days(), s.ease()));
    }

    Optional<Spacing> spacing(String drill) {
        Spacing spacing = null;
        LocalDate last = null;
        for (Run run : ofDrill.getOrDefault(drill, List.of())) {
            LocalDate day = day(run);
            if (run.result() != Result.DISCOMFORT && !day.equals(last)) {
                spacing = (spacing == null ? Spacing.first(day) : spacing)
                        .after(run.result().quality(), day);
                last = day;
            }
        }
        return Optional.ofNullable(spacing);
    }

    /** Whether a drill was stopped today because it hurt. */
    boolean isStopped(String drill, LocalDate today) {
        return ofDrill.getOrDefault(drill, List.of()).stream()
                .anyMatch(run -> run.result() == Result.DISCOMFORT && day(run).equals(today));
    }

    boolean isRun(String drill, LocalDate day) {
        return ofDrill.getOrDefault(drill, List.of()).stream()
                .anyMatch(run -> run.result() != Result.DISCOMFORT && day(run).equals(day));
    }

    /** The tempo to run it at next: a step faster after a clean run, slower after a missed one. */
    int tempo(Drill drill) {
        int best = bestOfChange(DrillId.changeOf(drill.id()));
        int first = best > 0 ? (int) (NEAR * best) : Math.min(drill.tempo(), drill.holds()) * 3 / 4;
        int tempo = Math.max(SLOWEST, first);
        double faster = FASTER;
        for (Run run : ofDrill.getOrDefault(drill.id(), List.of())) {
            if (run.tempo() > 0) {
                boolean isClean = run.result() == Result.CLEAN;
                double step = isClean ? faster : run.result() == Result.ROUGH ? 0 : -SLOWER;
                tempo = (int) Math.round(run.tempo() * (1 + step));
                faster = isClean ? Math.min(MOST_FASTER, 2 * faster) : FASTER;
            }
        }
        return Math.min(tempo, drill.tempo());
    }

    /** The fastest clean run; 0 for none. */
    int best(String drill) {
        return ofDrill.getOrDefault(drill, List.of()).stream()
                .filter(run -> run.result() == Result.CLEAN)
                .mapToInt(Run::tempo)
                .max()
                .orElse(0);
    }

    /** The fastest clean run of any drill of a change; 0 for none. */
    int bestOfChange(String change) {
        return cleanTempos(change).values().stream()
                .mapToInt(Integer::intValue)
                .max()
                .orElse(0);
    }

    /** The tempo that a drill's change holds: its fastest clean run in any drill, what the hand is expected to where there is none. */
    int held(Drill drill) {
        int best = bestOfChange(DrillId.changeOf(drill.id()));
        return best > 0 ? best : drill.holds();
    }

    /** The fastest clean run of each day on which a change was run cleanly, in any of its drills; the earliest day first. */
    Map<LocalDate, Integer> cleanTempos(String change) {
        Map<LocalDate, Integer> tempos = new TreeMap<>();
        for (Run run : ofChange.getOrDefault(change, List.of())) {
            if (run.result() == Result.CLEAN && run.tempo() > 0) {
                tempos.merge(day(run), run.tempo(), Math::max);
            }
        }
        return tempos;
    }

    /**
     * Shapes that are the player's own by now: reached cleanly on so many days, and the last time too. Those of other tunings are left
     * out, as a player's shapes are those of the standard one.
     */
    public Set<Shape> mastered() {
        Map<Shape, Set<LocalDate>> days = new HashMap<>();
        Map<Shape, Result> last = new HashMap<>();
        for (Run run : runs) {
            DrillId id = DrillId.parse(run.drill());
            if (id.kind() != DrillKind.TIMED
                    && id.reached().isPresent()
                    && id.tuning().equals(Tuning.STANDARD)) {
                Shape shape = id.reached().get().shape();
                last.put(shape, run.result());
                if (run.result() == Result.CLEAN) {
                    days.computeIfAbsent(shape, s -> new HashSet<>()).add(day(run));
                }
            }
        }
        return days.keySet().stream()
                .filter(shape -> days.get(shape).size() >= MASTERED_DAYS && last.get(shape) == Result.CLEAN)
                .collect(Collectors.toSet());
    }

    /** The log as it was at the end of a day. */
    DrillLog until(LocalDate last) {
        return new DrillLog(runs.stream().filter(run -> !day(run).isAfter(last)).toList(), zone);
    }

    /** Days on which something was run, the earliest first. */
    List<LocalDate> daysRun() {
        return runs.stream().map(this::day).distinct().toList();
    }

    /**
     * A day in the calendar.
     *
     * @param runs what was run
     * @param clean how many of them were clean
     * @param due drills that come again on that day; none for a day that is over
     */
    public record CalendarDay(LocalDate day, int runs, int clean, int due) {}

    /** Whole weeks from Monday on around a day, with what was run and what comes again; what is overdue comes today. */
    public List<CalendarDay> calendar(LocalDate today, int weeksBefore, int weeksAfter) {
        LocalDate monday = today.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
        Map<LocalDate, List<Run>> byDay = runs.stream().collect(Collectors.groupingBy(this::day));
        Map<LocalDate, Long> due = ofDrill.keySet().stream()
                .map(this::due)
                .flatMap(Optional::stream)
                .map(d -> d.day().isBefore(today) ? today : d.day())
                .collect(Collectors.groupingBy(d -> d, Collectors.counting()));
        return monday.minusWeeks(weeksBefore)
                .datesUntil(monday.plusWeeks(weeksAfter + 1L))
                .map(day -> {
                    List<Run> run = byDay.getOrDefault(day, List.of());
                    int clean = (int)
                            run.stream().filter(r -> r.result() == Result.CLEAN).count();
                    return new CalendarDay(
                            day, run.size(), clean, due.getOrDefault(day, 0L).intValue());
                })
                .toList();
    }

    /** Days in a row up to today, or to yesterday, on which something was run. */
    public int streak(LocalDate today) {
        LocalDate day = runs.stream().anyMatch(r -> day(r).equals(today)) ? today : today.minusDays(1);
        int days = 0;
        while (true) {
            LocalDate at = day.minusDays(days);
            if (runs.stream().noneMatch(r -> day(r).equals(at))) {
                return days;
            }
            days++;
        }
    }
}
