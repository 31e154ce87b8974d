package underhand.format.score;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import underhand.chord.ChordSymbol;
import underhand.chord.ChordType;
import underhand.pitch.Interval;
import underhand.table.Table;

/** Chord types as MusicXML has them: a kind, and degrees that are added, altered or left out. */
final class ChordKinds {

    private static final Map<String, String> SUFFIX_OF = read();
    private static final List<String> WRITTEN = SUFFIX_OF.keySet().stream()
            .filter(k -> Character.isLowerCase(k.charAt(0)))
            .toList();

    private ChordKinds() {}

    private static Map<String, String> read() {
        Map<String, String> suffixes = new LinkedHashMap<>();
        Table.read(ChordKinds.class, "chord-kinds.csv", 3, row -> row)
                .forEach(row -> suffixes.put(row.cell(0), row.cell(1)));
        return suffixes;
    }

    /**
     * A degree on top of a kind.
     *
     * @param value number of the degree, 2 to 13
     * @param alter semitones against the major or perfect interval
     * @param type {@code add}, {@code alter} or {@code subtract}
     */
    record ChordDegree(int value, int alter, String type) {}

    record Kind(String kind, List<ChordDegree> degrees) {}

    /** The kind with the fewest degrees on top that gives a type. */
    static Kind of(ChordType type) {
        Kind best = null;
        for (String kind : WRITTEN) {
            List<ChordDegree> degrees = degrees(parse(SUFFIX_OF.get(kind)), type);
            if (best == null || degrees.size() < best.degrees().size()) {
                best = new Kind(kind, degrees);
            }
        }
        return best;
    }

    private static ChordType parse(String suffix) {
        return ChordSymbol.parse("C" + suffix).type();
    }

    private static List<ChordDegree> degrees(ChordType base, ChordType wanted) {
        List<ChordDegree> degrees = new ArrayList<>();
        for (Interval interval : wanted.intervals()) {
            int number = interval.number();
            if (!base.hasInterval(interval)) {
                Optional<Interval> altered = base.intervals().stream()
                        .filter(i -> i.number() == number)
                        .findFirst();
                degrees.add(
                        altered.isPresent()
                                ? new ChordDegree(
                                        number,
                                        interval.semitones() - altered.get().semitones(),
                                        "alter")
                                : new ChordDegree(number, interval.semitones() - plain(number), "add"));
            }
        }
        for (Interval interval : base.intervals()) {
            if (!wanted.has(interval.number())) {
                degrees.add(new ChordDegree(interval.number(), 0, "subtract"));
            }
        }
        return degrees;
    }

    /** Semitones of what a degree adds when nothing alters it: as in a dominant chord, so a seventh is a minor one. */
    private static int plain(int number) {
        int octaves = 12 * ((number - 1) / 7);
        int natural = new int[] {0, 2, 4, 5, 7, 9, 10}[(number - 1) % 7];
        return octaves + natural;
    }

    /**
     * The type of a kind with degrees on top.
     *
     * @param text what a score prints for it: what a kind that is none of the standard's is read from
     * @return empty where neither says what it is
     */
    static Optional<ChordType> type(String kind, String text, List<ChordDegree> degrees) {
        String base = SUFFIX_OF.get(kind);
        if (base == null) {
            return ChordSymbol.tryParse("C" + text).filter(c -> !text.isBlank()).map(ChordSymbol::type);
        }
        List<Interval> intervals = new ArrayList<>(parse(base).intervals());
        for (ChordDegree degree : degrees) {
            try {
                apply(degree, intervals);
            } catch (IllegalArgumentException e) {
                return Optional.empty();
            }
        }
        return Optional.of(intervals.isEmpty() ? parse(base) : ChordType.of(intervals));
    }

    private static void apply(ChordDegree degree, List<Interval> intervals) {
        int number = degree.value();
        Optional<Interval> there =
                intervals.stream().filter(i -> i.number() == number).findFirst();
        switch (degree.type()) {
            case "subtract" -> there.ifPresent(intervals::remove);
            case "alter" -> {
                int from = there.map(Interval::semitones).orElse(plain(number));
                there.ifPresent(intervals::remove);
                intervals.add(new Interval(number, from + degree.alter()));
            }
            default -> intervals.add(new Interval(number, plain(number) + degree.alter()));
        }
    }
}
