package underhand.practice;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import underhand.arrange.Arrangement;
import underhand.fill.Fill;
import underhand.input.RangeException;
import underhand.practice.Drill.Strain;

/**
 * What to practise today within some minutes: what is due, the longest overdue first, then what songs need that are played soon, then
 * at most three new things, then what comes next. Hard things come early, left and right hand take turns, barres and stretches take no more than a
 * part of the time, and what hurt today is out.
 *
 * @param minutes of all of it
 * @param stopped names of drills that were stopped today
 */
public record DrillPlan(List<Planned> drills, double minutes, List<String> stopped) {

    public static final int SHORTEST = 5;
    public static final int LONGEST = 120;
    private static final int MOST_NEW = 3;

    /** Most of the time that barres, or stretches, may take where the player says nothing else: they strain. */
    private static final double OF_A_STRAIN = 0.4;

    /** Most of the time that keeping up what is held may take, while something keeps a song back. */
    private static final double OF_HELD = 0.25;

    /** Drills of one change on one day. */
    private static final int OF_A_CHANGE = 2;

    /** Changes of a timed test; each is timed four times, which is as many as a calibration asks for. */
    private static final int TIMED = 6;

    /** Days before a song is played in which what it still lacks comes first. */
    private static final int SOON = 21;

    /** A drill that is shortened takes this part of its time, and no less than a minute. */
    private static final double SHORTER = 0.5;

    /**
     * A day of practice, and what the player says of its plan.
     *
     * @param caps most minutes a day of drills that strain the hand, those that were run today among them; a part of the minutes
     *     where a strain is left out
     * @param swapped drills that something else stands for
     * @param skipped drills that are left out with their minutes
     * @param shortened drills that take half of their time
     * @param played days on which songs are played, by the song's number
     */
    public record Day(
            LocalDate date,
            int minutes,
            Map<Strain, Integer> caps,
            Set<String> swapped,
            Set<String> skipped,
            Set<String> shortened,
            Map<Long, LocalDate> played) {

        /** @throws RangeException when the minutes are too few or too many */
        public Day {
            RangeException.check("minutes", minutes, SHORTEST, LONGEST);
            caps = Map.copyOf(caps);
            swapped = Set.copyOf(swapped);
            skipped = Set.copyOf(skipped);
            shortened = Set.copyOf(shortened);
            played = Map.copyOf(played);
        }

        /** A day on which nothing is said of the plan and no song has its day. */
        public static Day of(LocalDate date, int minutes) {
            return new Day(date, minutes, Map.of(), Set.of(), Set.of(), Set.of(), Map.of());
        }

        double minutesOf(Drill drill) {
            double whole = drill.kind().minutes();
            return shortened.contains(drill.id()) ? Math.max(1, SHORTER * whole) : whole;
        }

        /** Days until a song is played; empty unless that is soon. */
        OptionalInt until(long song) {
            LocalDate day = played.get(song);
            long days = day == null ? -1 : ChronoUnit.DAYS.between(date, day);
            return days >= 0 && days <= SOON ? OptionalInt.of((int) days) : OptionalInt.empty();
        }
    }

    /**
     * A drill of today.
     *
     * @param song number of the song it is taken from
     * @param tempo beats a minute to run it at
     * @param best the fastest clean run so far; 0 for none
     * @param minutes it takes today
     * @param why it is in the plan
     */
    public record Planned(
            Drill drill, long song, int songs, int tempo, int best, double minutes, boolean isNew, String why) {}

    /**
     * A drill with the song it comes from.
     *
     * @param title of the song
     */
    public record Candidate(Drill drill, long song, String title) {

        /**
         * The drills of a song's part, the hardest first.
         *
         * @param fills that are played in it
         */
        public static List<Candidate> of(Arrangement arrangement, List<Fill> fills, long song, String title) {
            return DrillFinder.of(arrangement, fills).stream()
                    .map(drill -> new Candidate(drill, song, title))
                    .toList();
        }
    }

    /**
     * A candidate with when it is due.
     *
     * @param until days until a song that it still keeps back is played; empty for none that is played soon
     * @param held the share of its song's tempo that is held
     */
    private record Wanted(
            Candidate from, int songs, Optional<Spacing> spacing, long overdue, OptionalInt until, double held) {

        /** Once a change is held it is kept up whole; what took it apart has done its work. */
        boolean isDue() {
            return spacing.isPresent()
                    && overdue >= 0
                    && (!isHeld() || drill().kind().isWhole());
        }

        boolean isNew() {
            return spacing.isEmpty();
        }

        /** What keeps no song back is practised when there is nothing else. */
        boolean isHeld() {
            return held >= 1;
        }

        Drill drill() {
            return from.drill();
        }
    }

    /** The plan of a day. */
    public static DrillPlan of(List<Candidate> candidates, DrillLog log, Day day) {
        LocalDate today = day.date();
        List<Wanted> wanted = wanted(candidates, log, day);
        List<String> stopped = wanted.stream()
                .filter(w -> log.isStopped(w.drill().id(), today))
                .map(w -> w.drill().name())
                .distinct()
                .toList();
        List<Wanted> open = wanted.stream()
                .filter(w -> !log.isStopped(w.drill().id(), today)
                        && !log.isRun(w.drill().id(), today)
                        && !day.swapped().contains(w.drill().id())
                        && !day.skipped().contains(w.drill().id()))
                .toList();
        double skipped = wanted.stream()
                .filter(w -> day.skipped().contains(w.drill().id()))
                .mapToDouble(w -> w.drill().kind().minutes())
                .sum();
        Map<Strain, Double> room = new EnumMap<>(Strain.class);
        for (Strain strain : Strain.values()) {
            room.put(strain, room(strain, wanted, log, day));
        }
        List<Wanted> taken = taken(inOrder(open), day, day.minutes() - skipped, room);
        List<Planned> planned =
                mixed(taken).stream().map(w -> planned(w, log, day)).toList();
        return new DrillPlan(
                planned, planned.stream().mapToDouble(Planned::minutes).sum(), stopped);
    }

    /** Minutes a strain may still take today. */
    private static double room(Strain strain, List<Wanted> wanted, DrillLog log, Day day) {
        Integer cap = day.caps().get(strain);
        if (cap == null) {
            return OF_A_STRAIN * day.minutes();
        }
        double done = wanted.stream()
                .map(Wanted::drill)
                .filter(d -> d.strains().contains(strain) && log.isRun(d.id(), day.date()))
                .mapToDouble(d -> d.kind().minutes())
                .sum();
        return Math.max(0, cap - done);
    }

    /** Changes that a hand is timed by: the easiest of some songs, the hardest, and what lies evenly between them. */
    public static List<Drill> timed(List<Candidate> candidates) {
        List<Drill> changes = candidates.stream()
                .map(Candidate::drill)
                .filter(drill -> drill.kind() == DrillKind.LOOP)
                .sorted(Comparator.comparingDouble(Drill::hardness).thenComparing(Drill::id))
                .collect(Collectors.toMap(Drill::id, d -> d, (a, b) -> a, LinkedHashMap::new))
                .values()
                .stream()
                .toList();
        int count = Math.min(TIMED, changes.size());
        return IntStream.range(0, count)
                .mapToObj(i -> changes.get(count == 1 ? 0 : i * (changes.size() - 1) / (count - 1)))
                .map(drill -> drill.as(DrillKind.TIMED))
                .toList();
    }

    /** What is due, what songs need that are played soon, what is new, what keeps its song back most, and the rest. */
    private static List<Wanted> inOrder(List<Wanted> open) {
        Map<Group, List<Wanted>> groups = open.stream().collect(Collectors.groupingBy(Group::of));
        return Arrays.stream(Group.values())
                .flatMap(group -> groups.getOrDefault(group, List.of()).stream().sorted(group.order))
                .toList();
    }

    /** Why a drill is wanted, the most urgent first. */
    private enum Group {
        DUE(Comparator.comparing(Wanted::isHeld)
                .thenComparing(Comparator.comparingLong(Wanted::overdue)
                        .thenComparingDouble(w -> w.drill().hardness())
                        .reversed())),
        SOON(Comparator.<Wanted>comparingInt(w -> w.until().orElseThrow()).thenComparing(hardestFirst())),
        NEW(hardestFirst()),
        AHEAD(Comparator.comparingDouble(Wanted::held).thenComparing(hardestFirst())),
        HELD(hardestFirst());

        private final Comparator<Wanted> order;

        Group(Comparator<Wanted> order) {
            this.order = order;
        }

        static Group of(Wanted wanted) {
            if (wanted.isDue()) {
                return DUE;
            }
            if (wanted.until().isPresent()) {
                return SOON;
            }
            return wanted.isNew() ? NEW : wanted.isHeld() ? HELD : AHEAD;
        }
    }

    private static Comparator<Wanted> hardestFirst() {
        return Comparator.comparingDouble((Wanted w) -> w.drill().hardness() * Math.sqrt(w.songs()))
                .reversed()
                .thenComparing(w -> w.drill().kind())
                .thenComparing(w -> w.drill().id());
    }

    /** Every drill once, from the song in which it is hardest. */
    private static List<Wanted> wanted(List<Candidate> candidates, DrillLog log, Day day) {
        Map<String, List<Candidate>> byDrill = candidates.stream()
                .collect(Collectors.groupingBy(c -> c.drill().id(), LinkedHashMap::new, Collectors.toList()));
        return byDrill.values().stream().map(same -> wantedOnce(same, log, day)).toList();
    }

    /** @param same a drill in every song that has it */
    private static Wanted wantedOnce(List<Candidate> same, DrillLog log, Day day) {
        Candidate hardest = same.get(0);
        for (Candidate one : same) {
            hardest = one.drill().hardness() > hardest.drill().hardness() ? one : hardest;
        }
        String id = hardest.drill().id();
        Optional<Spacing> spacing = log.spacing(id);
        long overdue =
                spacing.map(s -> ChronoUnit.DAYS.between(s.due(), day.date())).orElse(0L);
        OptionalInt until = same.stream()
                .filter(one -> log.best(id) < one.drill().tempo())
                .map(one -> day.until(one.song()))
                .filter(OptionalInt::isPresent)
                .mapToInt(OptionalInt::getAsInt)
                .min();
        int songs = (int) same.stream().map(Candidate::song).distinct().count();
        double held = log.held(hardest.drill()) / (double) hardest.drill().tempo();
        return new Wanted(hardest, songs, spacing, overdue, until, held);
    }

    /** @param room minutes each strain may take */
    private static List<Wanted> taken(List<Wanted> order, Day day, double minutes, Map<Strain, Double> room) {
        Map<Strain, Double> left = new EnumMap<>(room);
        List<Wanted> taken = new ArrayList<>();
        Map<String, Integer> ofChange = new LinkedHashMap<>();
        boolean isAllHeld = order.stream().allMatch(Wanted::isHeld);
        double mostHeld = isAllHeld ? minutes : OF_HELD * minutes;
        double used = 0;
        double held = 0;
        int fresh = 0;
        for (Wanted one : order) {
            double needs = day.minutesOf(one.drill());
            boolean fits = used + needs <= minutes
                    && (!one.isNew() || fresh < MOST_NEW)
                    && one.drill().strains().stream().allMatch(strain -> needs <= left.get(strain))
                    && (!one.isHeld() || held + needs <= mostHeld)
                    && ofChange.getOrDefault(one.drill().name(), 0) < OF_A_CHANGE;
            if (fits) {
                taken.add(one);
                used += needs;
                one.drill().strains().forEach(strain -> left.merge(strain, -needs, Double::sum));
                held += one.isHeld() ? needs : 0;
                fresh += one.isNew() ? 1 : 0;
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

    private static Planned planned(Wanted one, DrillLog log, Day day) {
        String where = one.songs() > 1
                ? "in " + one.songs() + " songs"
                : "in " + one.from().title();
        Drill drill = one.drill();
        return new Planned(
                drill,
                one.from().song(),
                one.songs(),
                log.tempo(drill),
                log.best(drill.id()),
                day.minutesOf(drill),
                one.isNew(),
                when(one) + ", " + where + ": " + drill.why());
    }

    private static String when(Wanted one) {
        if (one.isDue()) {
            return one.overdue() > 0
                    ? "Due for " + one.overdue() + (one.overdue() == 1 ? " day" : " days")
                    : "Due today";
        }
        if (one.until().isPresent()) {
            int days = one.until().getAsInt();
            return days == 0 ? "Played today" : "Played in " + days + (days == 1 ? " day" : " days");
        }
        return one.isNew() ? "New" : "Ahead of its day";
    }
}
