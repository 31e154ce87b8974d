package underhand.chord;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import underhand.pitch.Interval;
import underhand.table.Table;

/** The named chord types of {@code chord-types.csv}, and a written name for every other set of intervals. */
final class ChordTypes {

    static final ChordTypes STANDARD = load();

    private static final int MOST_KEPT = 10_000;

    /**
     * A type and what its name costs when several names fit: 0 for the plainest.
     *
     * @param tones steps of its intervals above the root, a bit for each of the twelve
     * @param allowed the same with what may be added
     */
    record Named(ChordType type, double plainness, int tones, int allowed) {

        Named(ChordType type, double plainness) {
            this(type, plainness, steps(type.intervals()), steps(type.intervals()) | steps(type.optional()));
        }

        private static int steps(List<Interval> intervals) {
            return intervals.stream().mapToInt(i -> 1 << i.pitchClass()).reduce(0, (a, b) -> a | b);
        }
    }

    private final List<Named> all;
    private final Map<List<Interval>, ChordType> byIntervals;

    /** Types without a name that were asked for before: writing one out takes longer than all else that names a shape. */
    private final Map<List<Interval>, ChordType> spelledOut = new ConcurrentHashMap<>();

    private ChordTypes(List<Named> all) {
        this.all = all;
        this.byIntervals = new HashMap<>();
        for (Named named : all) {
            ChordType previous = byIntervals.put(named.type().intervals(), named.type());
            if (previous != null) {
                throw new IllegalStateException("chord-types.csv: "
                        + named.type().suffix() + " and " + previous.suffix() + " have the same intervals");
            }
        }
    }

    private static ChordTypes load() {
        return new ChordTypes(Table.read(
                ChordTypes.class,
                "chord-types.csv",
                3,
                row -> new Named(
                        new ChordType(
                                row.cell(0),
                                row.words(1).stream().map(Interval::parse).toList()),
                        row.decimal(2))));
    }

    List<Named> all() {
        return all;
    }

    /** The type with exactly these intervals: a named one, or one whose suffix spells out what differs. */
    ChordType of(List<Interval> intervals) {
        List<Interval> sorted = intervals.stream().distinct().sorted().toList();
        ChordType named = byIntervals.get(sorted);
        return named != null ? named : spelledOut(sorted);
    }

    private ChordType spelledOut(List<Interval> sorted) {
        ChordType known = spelledOut.get(sorted);
        if (known == null) {
            known = new ChordType(spellOut(sorted), sorted);
            if (spelledOut.size() < MOST_KEPT) {
                spelledOut.put(sorted, known);
            }
        }
        return known;
    }

    /**
     * Writes a suffix for intervals no named type has: the named type that shares most with them, then in parentheses
     * what is added and what is left out, {@code m7(b9,no5)}.
     */
    private String spellOut(List<Interval> intervals) {
        ChordType best = null;
        int bestDifference = Integer.MAX_VALUE;
        for (Named named : all) {
            int difference = difference(named.type().intervals(), intervals);
            if (difference < bestDifference) {
                best = named.type();
                bestDifference = difference;
            }
        }
        List<Interval> base = best.intervals();
        List<String> notes = new ArrayList<>();
        intervals.stream().filter(i -> !base.contains(i)).forEach(i -> notes.add(modifier(i)));
        base.stream()
                .filter(i -> intervals.stream().noneMatch(j -> j.number() == i.number()))
                .forEach(i -> notes.add("no" + i.number()));
        return best.suffix() + "(" + String.join(",", notes) + ")";
    }

    private static int difference(List<Interval> base, List<Interval> wanted) {
        int added = (int) wanted.stream().filter(i -> !base.contains(i)).count();
        int missing = (int) base.stream().filter(i -> !wanted.contains(i)).count();
        return 2 * added + 3 * missing;
    }

    private static String modifier(Interval interval) {
        String accidental = switch (interval.offset()) {
            case -2 -> "bb";
            case -1 -> "b";
            case 1 -> "#";
            default -> "add";
        };
        return accidental + interval.number();
    }
}
