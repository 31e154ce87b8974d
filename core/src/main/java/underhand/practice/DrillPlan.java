package underhand.practice;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import underhand.arrange.Arrangement;
import underhand.input.RangeException;

/**
 * What to practise today within some minutes: what is due, the longest overdue first, then at most three new things, then what
 * comes next. Hard things come early, left and right hand take turns, barres take no more than a part of the time, and what hurt
 * today is out.
 *
 * @param minutes of all of it
 * @param left out drills that were stopped today
 */
public record DrillPlan(List<Planned> drills, double minutes, List<String> stopped) {

    public static final int SHORTEST = 5;
    public static final int LONGEST = 120;
    private static final int MOST_NEW = 3;

    /** Most of the time that barres may take where the player says nothing else: they strain. */
    private static final double OF_BARRES = 0.4;

    /** Drills of one change on one day. */
    private static final int OF_A_CHANGE = 2;

    /**
     * A drill of today.
     *
     * @param song number of the song it is taken from
     * @param tempo beats a minute to run it at
     * @param best the fastest clean run so far; 0 for none
     * @param why it is in the plan
     */
    public record Planned(Drill drill, long song, int songs, int tempo, int best, boolean isNew, String why) {}

    /**
     * A drill with the song it comes from.
     *
     * @param title of the song
     */
    public record Candidate(Drill drill, long song, String title) {

        /** The drills of a song's part, the hardest first. */
        public static List<Candidate> of(Arrangement arrangement, long song, String title) {
            return DrillFinder.of(arrangement).stream()
                    .map(drill -> new Candidate(drill, song, title))
                    .toList();
        }
    }

    /** A candidate with when it is due. */
    private record Wanted(Candidate from, int songs, Optional<Spacing> spacing, long overdue) {

        boolean isDue() {
            return spacing.isPresent() && overdue >= 0;
        }

        Drill drill() {
            return from.drill();
        }
    }

    /**
     * @param barres most minutes of drills with barres in a day, those that were run today among them; a part of the minutes when empty
     * @throws RangeException when the minutes are too few or too many
     */
    public static DrillPlan of(
            List<Candidate> candidates, DrillLog log, int minutes, OptionalInt barres, LocalDate today) {
        RangeException.check("minutes", minutes, SHORTEST, LONGEST);
        List<Wanted> wanted = wanted(candidates, log, today);
        List<String> stopped = wanted.stream()
                .filter(w -> log.isStopped(w.drill().id(), today))
                .map(w -> w.drill().name())
                .distinct()
                .toList();
        List<Wanted> open = wanted.stream()
                .filter(w -> !log.isStopped(w.drill().id(), today)
                        && !log.isRun(w.drill().id(), today))
                .toList();
        List<Wanted> order = new ArrayList<>();
        open.stream()
                .filter(Wanted::isDue)
                .sorted(Comparator.comparingLong(Wanted::overdue)
                        .thenComparingDouble(w -> w.drill().hardness())
                        .reversed())
                .forEach(order::add);
        open.stream().filter(w -> w.spacing().isEmpty()).sorted(hardestFirst()).forEach(order::add);
        open.stream()
                .filter(w -> w.spacing().isPresent() && !w.isDue())
                .sorted(Comparator.comparing(w -> w.spacing().orElseThrow().due()))
                .forEach(order::add);
        double done = wanted.stream()
                .filter(w -> w.drill().barres() && log.isRun(w.drill().id(), today))
                .mapToDouble(w -> w.drill().kind().minutes())
                .sum();
        double mostBarres = barres.isPresent() ? Math.max(0, barres.getAsInt() - done) : OF_BARRES * minutes;
        List<Wanted> taken = taken(order, minutes, mostBarres);
        List<Planned> planned = mixed(taken).stream().map(w -> planned(w, log)).toList();
        double all = taken.stream().mapToDouble(w -> w.drill().kind().minutes()).sum();
        return new DrillPlan(planned, all, stopped);
    }

    private static Comparator<Wanted> hardestFirst() {
        return Comparator.comparingDouble((Wanted w) -> w.drill().hardness() * Math.sqrt(w.songs()))
                .reversed()
                .thenComparing(w -> w.drill().id());
    }

    /** Every drill once, from the song in which it is hardest. */
    private static List<Wanted> wanted(List<Candidate> candidates, DrillLog log, LocalDate today) {
        Map<String, Candidate> hardest = new LinkedHashMap<>();
        Map<String, Set<Long>> songs = new LinkedHashMap<>();
        for (Candidate one : candidates) {
            String id = one.drill().id();
            hardest.merge(id, one, (a, b) -> b.drill().hardness() > a.drill().hardness() ? b : a);
            songs.computeIfAbsent(id, i -> new HashSet<>()).add(one.song());
        }
        return hardest.values().stream()
                .map(c -> {
                    Optional<Spacing> spacing = log.spacing(c.drill().id());
                    long overdue = spacing.map(s -> ChronoUnit.DAYS.between(s.due(), today))
                            .orElse(0L);
                    return new Wanted(c, songs.get(c.drill().id()).size(), spacing, overdue);
                })
                .toList();
    }

    private static List<Wanted> taken(List<Wanted> order, int minutes, double mostBarres) {
        List<Wanted> taken = new ArrayList<>();
        Map<String, Integer> ofChange = new LinkedHashMap<>();
        double used = 0;
        double barres = 0;
        int fresh = 0;
        for (Wanted one : order) {
            double needs = one.drill().kind().minutes();
            boolean isNew = one.spacing().isEmpty();
            boolean fits = used + needs <= minutes
                    && (!isNew || fresh < MOST_NEW)
                    && (!one.drill().barres() || barres + needs <= mostBarres)
                    && ofChange.getOrDefault(one.drill().name(), 0) < OF_A_CHANGE;
            if (fits) {
                taken.add(one);
                used += needs;
                barres += one.drill().barres() ? needs : 0;
                fresh += isNew ? 1 : 0;
                ofChange.merge(one.drill().name(), 1, Integer::sum);
            }
        }
        return taken;
    }

    /** Hard things early; after two of the left hand one of the right, as far as there are any. */
    private static List<Wanted> mixed(List<Wanted> taken) {
        List<Wanted> left = new ArrayList<>(taken.stream()
                .filter(w -> !w.drill().kind().isOfRightHand())
                .sorted(hardestFirst())
                .toList());
        List<Wanted> right = new ArrayList<>(
                taken.stream().filter(w -> w.drill().kind().isOfRightHand()).toList());
        List<Wanted> mixed = new ArrayList<>();
        while (!left.isEmpty() || !right.isEmpty()) {
            for (int i = 0; i < 2 && !left.isEmpty(); i++) {
                mixed.add(left.remove(0));
            }
            if (!right.isEmpty()) {
                mixed.add(right.remove(0));
            }
        }
        return mixed;
    }

    private static Planned planned(Wanted one, DrillLog log) {
        boolean isNew = one.spacing().isEmpty();
        String where = one.songs() > 1
                ? "in " + one.songs() + " songs"
                : "in " + one.from().title();
        String when = isNew
                ? "New, " + where
                : one.overdue() > 0
                        ? "Due for " + one.overdue() + (one.overdue() == 1 ? " day, " : " days, ") + where
                        : one.overdue() == 0 ? "Due today, " + where : "Ahead of its day, " + where;
        Drill drill = one.drill();
        return new Planned(
                drill,
                one.from().song(),
                one.songs(),
                log.tempo(drill),
                log.best(drill.id()),
                isNew,
                when + ": " + drill.why());
    }
}
