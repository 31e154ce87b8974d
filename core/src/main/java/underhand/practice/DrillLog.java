package underhand.practice;

import java.time.LocalDate;
import java.time.ZoneId;
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
import underhand.neck.Shape;
import underhand.neck.Tuning;
import underhand.practice.Run.Result;

/** Everything one player ran, and what follows for each drill. The first run of a day is the one that tells what was kept. */
public final class DrillLog {

    /** Part of the tempo that a clean run adds, and a missed one takes. */
    private static final double FASTER = 0.04;

    private static final double SLOWER = 0.08;

    /** Days on which a shape is reached cleanly before it is one's own (memory). */
    private static final int MASTERED_DAYS = 4;

    private final ZoneId zone;
    private final List<Run> runs;
    private final Map<String, List<Run>> ofDrill = new HashMap<>();

    /** @param zone whose days are counted */
    public DrillLog(List<Run> runs, ZoneId zone) {
        this.zone = zone;
        this.runs = runs.stream().sorted(Comparator.comparing(Run::at)).toList();
        this.runs.forEach(run ->
                ofDrill.computeIfAbsent(run.drill(), d -> new ArrayList<>()).add(run));
    }

    public List<Run> runs() {
        return runs;
    }

    private LocalDate day(Run run) {
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
        int tempo = Math.max(30, Math.min(drill.tempo(), drill.holds()) * 3 / 4);
        for (Run run : ofDrill.getOrDefault(drill.id(), List.of())) {
            if (run.tempo() > 0) {
                double step = run.result() == Result.CLEAN ? FASTER : run.result() == Result.ROUGH ? 0 : -SLOWER;
                tempo = (int) Math.round(run.tempo() * (1 + step));
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

    /** The fastest clean run of each day on which a change was run cleanly, in any of its drills; the earliest day first. */
    Map<LocalDate, Integer> cleanTempos(String change) {
        Map<LocalDate, Integer> tempos = new TreeMap<>();
        for (Run run : runs) {
            if (run.result() == Result.CLEAN
                    && run.tempo() > 0
                    && DrillId.changeOf(run.drill()).equals(change)) {
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
            if (id.reached().isPresent() && id.tuning().equals(Tuning.STANDARD)) {
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
