package underhand.format.score;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import underhand.chart.Chart;

/**
 * The verses that stand under the notes of a score one below the other. A repeat sings the next of them; those that no repeat
 * comes to are words without chords, after the section they belong to.
 */
final class Verses {

    private static final String VERSE = "Verse";
    private static final int MEASURES_A_LINE = 4;

    /** Lines of the verses of the section that is being read, each with the measures it has so far. */
    private final SortedMap<Integer, StringBuilder> lines = new TreeMap<>();

    /** Verses whose line ends with the next word. */
    private final Set<Integer> ending = new HashSet<>();

    private final List<Chart.Words> unsung = new ArrayList<>();
    private int measures;
    private int most = 1;

    /** @param pass the verse that is sung in it */
    void add(Measure measure, int pass) {
        most = Math.max(most, pass);
        if (pass > 1) {
            return;
        }
        for (Map.Entry<Integer, List<Measure.Words>> verse : measure.verses.entrySet()) {
            StringBuilder text = lines.computeIfAbsent(verse.getKey(), v -> new StringBuilder());
            for (Measure.Words words : verse.getValue()) {
                // A word that goes on over the line stays whole.
                if (words.text().startsWith(" ") && ending.remove(verse.getKey())) {
                    text.append('\n');
                }
                text.append(words.text());
            }
        }
        measures++;
        if (measures % MEASURES_A_LINE == 0) {
            ending.addAll(lines.keySet());
        }
    }

    /**
     * Everything since the last end was one section.
     *
     * @param bars of the song by then
     */
    void endSection(String name, int bars) {
        lines.forEach((verse, text) -> {
            List<String> said = text.toString()
                    .lines()
                    .map(line -> line.strip().replaceAll("\\s+", " "))
                    .filter(line -> !line.isEmpty())
                    .toList();
            if (verse > most && !said.isEmpty()) {
                unsung.add(new Chart.Words(bars, Optional.of(heading(name, verse)), said));
            }
        });
        lines.clear();
        ending.clear();
        measures = 0;
        most = 1;
    }

    private static String heading(String section, int verse) {
        return (section.isBlank() || section.startsWith(VERSE) ? VERSE : section) + " " + verse;
    }

    /** Words no repeat comes to, in the order of the song. */
    List<Chart.Words> unsung() {
        return List.copyOf(unsung);
    }
}
