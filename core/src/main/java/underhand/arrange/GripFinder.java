package underhand.arrange;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.PriorityQueue;
import underhand.chord.ChordSymbol;
import underhand.hand.Effort;
import underhand.hand.EffortTerm;
import underhand.hand.FingeringSearch;
import underhand.hand.Grip;
import underhand.hand.HandEffort;
import underhand.hand.Parameters;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.neck.Fretboard;
import underhand.neck.Shape;
import underhand.neck.ShapeFinder;
import underhand.neck.ToneDemand;

/**
 * All grips of a chord on a neck for a player, a rung and a setting, cheapest first.
 *
 * <p>When the rung's limits leave a chord without any grip, the next rung's are tried, and what that costs is a term of
 * its own, so that a song always gets a part and says where it is too hard. Immutable; safe to share between threads.
 */
public final class GripFinder {

    /** Most frets above the capo that are searched. */
    public static final int HIGHEST_FRET = 12;

    private static final int MOST_INNER_SILENT = 2;

    /** Fingerings kept of a shape, the easiest; the others gain nothing in a change that they do not lose in the grip. */
    private static final int MOST_FINGERINGS = 6;

    /** A fingering this much dearer than the easiest of its shape is not the one a player has learnt. */
    private static final double CLEARLY_HARDER = 0.04;

    private final Fretboard board;
    private final Rung rung;
    private final Player player;
    private final Setting setting;
    private final int highestFret;
    private final Parameters parameters;
    private final double newShape;
    private final double strange;
    private final double otherFingers;
    private final double beyond;
    private final HandEffort hand;
    private final SoundEffort sound;
    private final Repertoire repertoire;

    /** @param highestFret highest fret above the capo, on top of what the rung allows */
    public GripFinder(
            Fretboard board, Rung rung, Player player, Setting setting, int highestFret, Parameters parameters) {
        this(board, rung, player, setting, highestFret, parameters, Taste.NEUTRAL);
    }

    private GripFinder(
            Fretboard board,
            Rung rung,
            Player player,
            Setting setting,
            int highestFret,
            Parameters parameters,
            Taste taste) {
        this.parameters = parameters;
        this.board = board;
        this.rung = rung;
        this.player = player;
        this.setting = setting;
        this.highestFret = highestFret;
        this.newShape = parameters.get("habit.new." + rung.level());
        this.strange = parameters.get("habit.strange");
        this.otherFingers = parameters.get("habit.fingers." + rung.level());
        this.beyond = parameters.get("habit.beyond");
        this.hand = new HandEffort(board, player, parameters);
        this.sound = new SoundEffort(board, setting, taste, parameters);
        this.repertoire = Repertoire.of(rung);
    }

    /** The same search for another taste. */
    GripFinder withTaste(Taste taste) {
        return new GripFinder(board, rung, player, setting, highestFret, parameters, taste);
    }

    public Fretboard board() {
        return board;
    }

    /**
     * Grips of a sounding chord.
     *
     * @param occurrences how often the song has the chord: a new shape is learnt once
     */
    public List<RatedGrip> find(ChordSymbol chord, int occurrences) {
        return cheapest(chord, occurrences, Integer.MAX_VALUE).grips();
    }

    /**
     * The cheapest grips of a chord.
     *
     * @param grips cheapest first
     * @param leftOutFrom no grip that was left out costs less than this; infinite when none was
     */
    public record Cheapest(List<RatedGrip> grips, double leftOutFrom) {}

    /**
     * The cheapest grips of a sounding chord, without fingering the shapes that cannot be among them: a shape's sound and
     * a finger for each of its frets already cost too much.
     *
     * @param most how many grips are wanted at most
     */
    public Cheapest cheapest(ChordSymbol chord, int occurrences, int most) {
        ToneDemand demand = ToneDemand.of(chord, setting.bassElsewhere());
        for (int level = rung.level(); level <= Rung.HIGHEST; level++) {
            Cheapest found = within(Rung.of(level), demand, chord, occurrences, most);
            if (!found.grips().isEmpty()) {
                return found;
            }
        }
        return new Cheapest(List.of(), Double.POSITIVE_INFINITY);
    }

    /** Every fingering of one shape, cheapest first, by the lowest rung from the player's own that can hold it. */
    public List<RatedGrip> fingerings(Shape shape, ChordSymbol chord, int occurrences) {
        for (int level = rung.level(); level <= Rung.HIGHEST; level++) {
            List<RatedGrip> found = new ArrayList<>();
            Rung at = Rung.of(level);
            rate(candidate(shape, at, SoundEffort.Roles.of(chord), occurrences), at, found);
            if (!found.isEmpty()) {
                return sorted(found);
            }
        }
        return List.of();
    }

    /**
     * A shape before it is fingered.
     *
     * @param effort what depends on the shape alone
     * @param atLeast no fingering of it costs less
     */
    private record Candidate(Shape shape, boolean isNew, Effort effort, double atLeast) {}

    private Candidate candidate(Shape shape, Rung level, SoundEffort.Roles roles, int occurrences) {
        boolean isNew = !repertoire.has(shape);
        Effort effort = new Effort.Builder()
                .addAll(sound.ofShape(shape, roles))
                .add(EffortTerm.NEW_SHAPE, isNew ? newShape * (1.0 / occurrences + strange) : 0)
                .add(EffortTerm.BEYOND, beyond * (level.level() - rung.level()))
                .build();
        return new Candidate(shape, isNew, effort, effort.total() + hand.atLeast(shape));
    }

    private Cheapest within(Rung level, ToneDemand demand, ChordSymbol chord, int occurrences, int most) {
        int highest = Math.min(highestFret, level.highestFret());
        double reach = player.spreads().widestMm(1, 4);
        SoundEffort.Roles roles = SoundEffort.Roles.of(chord);
        List<Candidate> candidates = new ArrayList<>();
        for (Shape shape : new ShapeFinder(board, highest, reach, MOST_INNER_SILENT).find(demand)) {
            candidates.add(candidate(shape, level, roles, occurrences));
        }
        candidates.sort(Comparator.comparingDouble(Candidate::atLeast));
        List<RatedGrip> found = new ArrayList<>();
        PriorityQueue<Double> dearestKept = new PriorityQueue<>(Comparator.reverseOrder());
        double leftOutFrom = Double.POSITIVE_INFINITY;
        for (Candidate candidate : candidates) {
            if (dearestKept.size() == most && candidate.atLeast() >= dearestKept.peek()) {
                leftOutFrom = candidate.atLeast();
                break;
            }
            int before = found.size();
            rate(candidate, level, found);
            for (RatedGrip grip : found.subList(before, found.size())) {
                dearestKept.add(grip.effort().total());
                if (dearestKept.size() > most) {
                    dearestKept.poll();
                }
            }
        }
        sorted(found);
        if (found.size() > most) {
            leftOutFrom = Math.min(leftOutFrom, found.get(most).effort().total());
            return new Cheapest(List.copyOf(found.subList(0, most)), leftOutFrom);
        }
        return new Cheapest(found, leftOutFrom);
    }

    private static List<RatedGrip> sorted(List<RatedGrip> grips) {
        grips.sort(Comparator.comparingDouble(g -> g.effort().total()));
        return grips;
    }

    private void rate(Candidate candidate, Rung level, List<RatedGrip> found) {
        record ByHand(Grip grip, Effort effort) {}
        List<ByHand> possible = new ArrayList<>();
        for (Grip grip : new FingeringSearch(board, level, player).fingerings(candidate.shape())) {
            Effort byHand = hand.of(grip);
            if (byHand.isPossible()) {
                possible.add(new ByHand(grip, byHand));
            }
        }
        if (possible.isEmpty()) {
            return;
        }
        possible.sort(Comparator.comparingDouble(g -> g.effort().total()));
        possible = possible.subList(0, Math.min(MOST_FINGERINGS, possible.size()));
        double easiest = possible.get(0).effort().total();
        for (ByHand one : possible) {
            Effort.Builder effort = new Effort.Builder().addAll(one.effort()).addAll(candidate.effort());
            sound.ofHand(effort, one.grip());
            double unusual = Math.min(1, (one.effort().total() - easiest) / CLEARLY_HARDER);
            effort.add(EffortTerm.OTHER_FINGERS, otherFingers * unusual);
            found.add(new RatedGrip(one.grip(), effort.build(), level.level(), candidate.isNew()));
        }
    }
}
