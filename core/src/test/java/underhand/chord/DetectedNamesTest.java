package underhand.chord;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import underhand.pitch.Note;
import underhand.pitch.Pitch;

/**
 * Names beside those of a general reference library: every chord of three to five tones of its table, over each of its tones. The
 * source is named in {@code detected.tsv}.
 */
class DetectedNamesTest {

    private static final int OCTAVE = 12;

    private static final String SAME = "the same";

    /** C3: a lowest note here is heard as a bass. */
    private static final int BASS = 48;

    /**
     * @param notes from the bass up
     * @param names as the library writes them
     * @param meant each name as its root and its steps above it
     */
    private record Row(List<String> notes, List<String> names, List<String> meant) {}

    private static List<Row> rows() throws IOException {
        return lines("detected.tsv").stream()
                .map(line -> line.split("\t", -1))
                .map(cells -> new Row(words(cells[1]), words(cells[2]), words(cells[3])))
                .toList();
    }

    private static List<String> lines(String name) throws IOException {
        try (var in = DetectedNamesTest.class.getResourceAsStream(name)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> !line.startsWith("#"))
                    .toList();
        }
    }

    private static List<String> words(String cell) {
        return cell.isBlank() ? List.of() : List.of(cell.split(" "));
    }

    private static List<Pitch> rising(List<String> notes) {
        List<Pitch> pitches = new ArrayList<>();
        int midi = BASS;
        for (String note : notes) {
            int up = Math.floorMod(Note.parse(note).pitchClass() - midi, OCTAVE);
            midi += up;
            pitches.add(Pitch.ofMidi(midi));
        }
        return pitches;
    }

    private static String meaning(ChordSymbol symbol) {
        int root = symbol.root().pitchClass();
        Set<Integer> above = symbol.withoutBass().tones().stream()
                .map(t -> Math.floorMod(t.note().pitchClass() - root, OCTAVE))
                .collect(Collectors.toSet());
        return root + ":"
                + IntStream.range(0, OCTAVE)
                        .mapToObj(step -> above.contains(step) ? "1" : "0")
                        .collect(Collectors.joining());
    }

    /** How a name of the library is met by ours. */
    private static String met(String meant, List<ChordNamer.Name> ours) {
        int root = Integer.parseInt(meant.substring(0, meant.indexOf(':')));
        List<ChordNamer.Name> onRoot = ours.stream()
                .filter(n -> n.symbol().root().pitchClass() == root)
                .toList();
        if (onRoot.stream().anyMatch(n -> meaning(n.symbol()).equals(meant))) {
            return SAME;
        }
        if (onRoot.stream().anyMatch(n -> !n.missing().isEmpty())) {
            return "the same root, what does not sound is said";
        }
        return onRoot.isEmpty() ? "not on that root" : "the same root in other words";
    }

    /** Nothing is named on a root we do not name; where our words are others, {@code detected-differences.tsv} lists why. */
    @Test
    void everyNameTheLibraryFindsIsAmongOurs_orListedByReason() throws IOException {
        Set<String> differences = new TreeSet<>();
        int same = 0;
        for (Row row : rows()) {
            List<ChordNamer.Name> ours = ChordNamer.names(rising(row.notes()), Optional.empty());
            for (int i = 0; i < row.names().size(); i++) {
                String met = met(row.meant().get(i), ours);
                if (met.equals(SAME)) {
                    same++;
                } else {
                    differences.add(
                            met + "\t" + row.names().get(i) + "\t" + ours.get(0).symbol());
                }
            }
        }
        assertEquals(String.join("\n", lines("detected-differences.tsv")), String.join("\n", differences));
        assertTrue(same > 3 * differences.size(), same + " the same, " + differences.size() + " not");
    }
}
