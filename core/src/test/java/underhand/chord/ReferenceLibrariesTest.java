package underhand.chord;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/**
 * Our reading of chord symbols against npm tonal 6.4.3 and chord-symbol 4.0.0 on a generated table. Every suffix that one
 * of them reads otherwise is listed here with the reason; a difference that is not listed fails.
 */
class ReferenceLibrariesTest {

    private static final Map<String, String> DIFFERENCES = differences();

    private record Row(String root, String suffix, String tonal, String chordSymbol) {}

    private static List<Row> rows() throws Exception {
        try (InputStream in = ReferenceLibrariesTest.class.getResourceAsStream("chord-symbols.tsv")) {
            return new String(Objects.requireNonNull(in).readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> !line.startsWith("# "))
                    .map(line -> line.split("\t"))
                    .map(c -> new Row(c[0], c[1], c[2], c[3]))
                    .toList();
        }
    }

    private static Map<String, String> differences() {
        Map<String, String> listed = new TreeMap<>();
        listed.put("#5", "the accidental belongs to the root: C#5 is the power chord of C sharp");
        listed.put("b5", "the accidental belongs to the root: Cb5 is the power chord of C flat");
        listed.put("7b5b9", "tonal keeps a perfect fifth beside the flat one");
        listed.put("7b5#9", "tonal keeps a perfect fifth beside the flat one");
        listed.put("7b9b13", "tonal keeps the fifth that a flat thirteenth stands for");
        listed.put("7#9b13", "tonal keeps the fifth that a flat thirteenth stands for");
        listed.put("7alt", "chord-symbol takes all four altered notes, more than a hand holds; ours are tonal's");
        listed.put("alt", "chord-symbol takes all four altered notes, more than a hand holds; tonal does not read it");
        listed.put("^", "tonal reads a bare caret as a major triad; on lead sheets it means the major seventh");
        listed.put("m13", "chord-symbol adds the eleventh to a minor thirteenth");
        return listed;
    }

    private static String ours(Row row) {
        Optional<ChordSymbol> chord = ChordSymbol.tryParse(row.root() + row.suffix());
        return chord.map(c -> new TreeSet<>(c.tones().stream()
                                .map(t -> Math.floorMod(
                                        t.note().pitchClass() - c.root().pitchClass(), 12))
                                .toList())
                        .stream().map(String::valueOf).collect(Collectors.joining(" ")))
                .orElse("-");
    }

    @Test
    void parse_everySymbolOfTheTable_isReadAsTheReferencesDo() throws Exception {
        List<Row> rows = rows();
        assertTrue(rows.size() >= 1500, rows.size() + " symbols");
        Map<String, String> found = new TreeMap<>();
        for (Row row : rows) {
            String ours = ours(row);
            boolean asTonal = row.tonal().equals("-") || row.tonal().equals(ours);
            boolean asChordSymbol =
                    row.chordSymbol().equals("-") || row.chordSymbol().equals(ours);
            if (!asTonal || !asChordSymbol || ours.equals("-")) {
                found.put(
                        row.suffix(),
                        row.root() + ": ours " + ours + ", tonal " + row.tonal() + ", chord-symbol "
                                + row.chordSymbol());
            }
        }
        assertEquals(
                DIFFERENCES.keySet(),
                found.keySet(),
                String.join(
                        "\n", found.entrySet().stream().map(Object::toString).toList()));
    }
}
