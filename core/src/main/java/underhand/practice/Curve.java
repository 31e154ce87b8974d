package underhand.practice;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import underhand.practice.DrillPlan.Candidate;
import underhand.practice.Run.Result;

/**
 * How something went from day to day.
 *
 * @param name a change by its shapes, a song by its title, or a kind of drill
 * @param runs that it is drawn from
 * @param points one for each day on which it was measured, the earliest first
 */
public record Curve(String name, int runs, List<Point> points) {

    /** Days looked back on where every day is worked out anew. */
    private static final int MOST_DAYS = 40;

    public Curve {
        points = List.copyOf(points);
    }

    /** @param value beats a minute, or seconds */
    public record Point(LocalDate day, double value) {}

    /** The fastest clean run of each day, change by change, the most practised first. */
    public static List<Curve> tempoOfChanges(DrillLog log) {
        return byChange(log).entrySet().stream()
                .map(change -> {
                    List<Point> points = log.cleanTempos(change.getKey()).entrySet().stream()
                            .map(d -> new Point(d.getKey(), d.getValue()))
                            .toList();
                    return new Curve(words(change.getKey()), clean(change.getValue()), points);
                })
                .filter(Curve::isLine)
                .sorted(mostRunFirst())
                .toList();
    }

    /** The middle of the measured seconds of each day, change by change, the most measured first. */
    public static List<Curve> secondsOfChanges(DrillLog log) {
        return byChange(log).entrySet().stream()
                .map(change -> {
                    List<Run> measured = change.getValue().stream()
                            .filter(run -> run.seconds().isPresent())
                            .toList();
                    Map<LocalDate, List<Double>> days = new TreeMap<>();
                    measured.forEach(run -> days.computeIfAbsent(log.day(run), d -> new ArrayList<>())
                            .add(run.seconds().getAsDouble()));
                    return new Curve(words(change.getKey()), measured.size(), middles(days));
                })
                .filter(Curve::isLine)
                .sorted(mostRunFirst())
                .toList();
    }

    /** The middle tempo of the clean runs of each day, kind of drill by kind of drill. */
    public static List<Curve> tempoOfKinds(DrillLog log) {
        Map<DrillKind, List<Run>> kinds = log.runs().stream()
                .filter(run -> run.result() == Result.CLEAN && run.tempo() > 0)
                .collect(Collectors.groupingBy(
                        run -> DrillId.parse(run.drill()).kind(), TreeMap::new, Collectors.toList()));
        return kinds.entrySet().stream()
                .map(kind -> {
                    Map<LocalDate, List<Double>> days = new TreeMap<>();
                    kind.getValue()
                            .forEach(run -> days.computeIfAbsent(log.day(run), d -> new ArrayList<>())
                                    .add((double) run.tempo()));
                    return new Curve(kind.getKey().id(), kind.getValue().size(), middles(days));
                })
                .filter(Curve::isLine)
                .sorted(mostRunFirst())
                .toList();
    }

    /** The tempo that each song held at the end of each day on which something was run. */
    public static List<Curve> tempoOfSongs(List<Candidate> candidates, DrillLog log) {
        List<LocalDate> days = log.daysRun();
        List<LocalDate> late = days.subList(Math.max(0, days.size() - MOST_DAYS), days.size());
        Map<Long, List<Candidate>> songs = candidates.stream()
                .collect(Collectors.groupingBy(Candidate::song, LinkedHashMap::new, Collectors.toList()));
        Map<LocalDate, DrillLog> logs = new LinkedHashMap<>();
        late.forEach(day -> logs.put(day, log.until(day)));
        return songs.values().stream()
                .map(song -> {
                    List<Drill> drills = song.stream().map(Candidate::drill).toList();
                    List<Point> points = late.stream()
                            .map(day -> new Point(
                                    day, Forecast.holds(drills, drills.get(0).tempo(), logs.get(day))))
                            .toList();
                    int runs = (int) log.runs().stream()
                            .filter(run -> drills.stream().anyMatch(d -> d.id().equals(run.drill())))
                            .count();
                    return new Curve(song.get(0).title(), runs, points);
                })
                .filter(curve -> curve.runs() > 0 && curve.isLine())
                .toList();
    }

    private boolean isLine() {
        return points.size() > 1;
    }

    private static Comparator<Curve> mostRunFirst() {
        return Comparator.comparingInt(Curve::runs).reversed().thenComparing(Curve::name);
    }

    private static Map<String, List<Run>> byChange(DrillLog log) {
        return log.runs().stream()
                .collect(Collectors.groupingBy(
                        run -> DrillId.changeOf(run.drill()), LinkedHashMap::new, Collectors.toList()));
    }

    private static int clean(List<Run> runs) {
        return (int) runs.stream().filter(run -> run.result() == Result.CLEAN).count();
    }

    private static List<Point> middles(Map<LocalDate, List<Double>> days) {
        return days.entrySet().stream()
                .map(day -> {
                    List<Double> sorted = day.getValue().stream().sorted().toList();
                    return new Point(day.getKey(), sorted.get(sorted.size() / 2));
                })
                .toList();
    }

    /** {@code x32010 to x02210}; a pattern's id or the notes where there are no two grips. */
    private static String words(String change) {
        String places = change.split("@", 2)[0];
        String[] grips = places.split(">", 2);
        String from = grips[0].split("/", 2)[0];
        return grips.length == 1 ? from : from + " to " + grips[1].split("/", 2)[0];
    }
}
