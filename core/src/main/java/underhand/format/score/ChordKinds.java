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
            if (!base.hasInterval(interval)) {
                String type = base.has(interval.number()) ? "alter" : "add";
                degrees.add(new ChordDegree(interval.number(), interval.offset(), type));
            }
        }
        for (Interval interval : base.intervals()) {
            if (!wanted.has(interval.number())) {
                degrees.add(new ChordDegree(interval.number(), interval.offset(), "subtract"));
            }
        }
        return degrees;
    }

    /**
     * The suffix of a kind with degrees on top, in the spelling that {@link ChordSymbol#parse} reads.
     *
     * @return empty for a kind that is none of the standard's, or for {@code other} without a text
     */
    static Optional<String> suffix(String kind, String text, List<ChordDegree> degrees) {
        String base = SUFFIX_OF.get(kind);
        if (base == null) {
            return Optional.of(text)
                    .filter(t -> !t.isBlank() && ChordSymbol.tryParse("C" + t).isPresent());
        }
        StringBuilder suffix = new StringBuilder(base);
        List<String> more = new ArrayList<>();
        for (ChordDegree degree : degrees) {
            String sign = degree.alter() < 0 ? "b" : degree.alter() > 0 ? "#" : "";
            if (degree.type().equals("subtract")) {
                more.add("no" + degree.value());
            } else {
                more.add((sign.isEmpty() ? "add" : sign) + degree.value());
            }
        }
        if (!more.isEmpty()) {
            suffix.append('(').append(String.join(",", more)).append(')');
        }
        if (ChordSymbol.tryParse("C" + suffix).isPresent()) {
            return Optional.of(suffix.toString());
        }
        return ChordSymbol.tryParse("C" + base).isPresent() ? Optional.of(base) : Optional.empty();
    }
}
