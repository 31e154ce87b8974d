package underhand.format.text;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import underhand.chord.ChordSymbol;

/** Finds the chord somebody probably meant with a mistyped symbol. */
final class ChordSuggester {

    private static final List<String> ROOTS =
            List.of("C", "G", "D", "A", "E", "F", "B", "Bb", "Eb", "F#", "C#", "Ab", "G#", "Db", "Gb", "D#", "A#");
    private static final List<String> SUFFIXES = List.of(
            "", "m", "7", "m7", "maj7", "sus4", "sus2", "dim", "aug", "6", "m6", "add9", "9", "m9", "maj9", "dim7",
            "m7b5", "7sus4", "7b9", "7#9", "13", "6/9");
    private static final int LONGEST = 12;
    private static final int FARTHEST = 2;

    private ChordSuggester() {}

    static Optional<String> suggest(String text) {
        if (text.isEmpty() || text.length() > LONGEST) {
            return Optional.empty();
        }
        String upper = text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1);
        String german = upper.startsWith("H") ? "B" + upper.substring(1) : upper;
        if (!german.equals(text) && ChordSymbol.tryParse(german).isPresent()) {
            return Optional.of(german);
        }
        return nearest(german);
    }

    private static Optional<String> nearest(String text) {
        String best = null;
        int bestCost = Integer.MAX_VALUE;
        for (String candidate : candidates()) {
            int distance = distance(text, candidate);
            boolean sameRoot = candidate.charAt(0) == text.charAt(0);
            int cost = 2 * distance + (sameRoot ? 0 : 1);
            if (distance <= FARTHEST && distance < text.length() && cost < bestCost) {
                best = candidate;
                bestCost = cost;
            }
        }
        return Optional.ofNullable(best);
    }

    private static List<String> candidates() {
        List<String> all = new ArrayList<>();
        for (String suffix : SUFFIXES) {
            for (String root : ROOTS) {
                all.add(root + suffix);
            }
        }
        return all;
    }

    /** Fewest insertions, deletions and replacements of a character (V. I. Levenshtein, 1966). */
    private static int distance(String a, String b) {
        int[] previous = new int[b.length() + 1];
        for (int j = 0; j <= b.length(); j++) {
            previous[j] = j;
        }
        for (int i = 1; i <= a.length(); i++) {
            int[] current = new int[b.length() + 1];
            current[0] = i;
            for (int j = 1; j <= b.length(); j++) {
                int replace = previous[j - 1] + (a.charAt(i - 1) == b.charAt(j - 1) ? 0 : 1);
                current[j] = Math.min(replace, 1 + Math.min(previous[j], current[j - 1]));
            }
            previous = current;
        }
        return previous[b.length()];
    }
}
