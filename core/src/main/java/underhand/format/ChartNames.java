package underhand.format;

import java.util.Locale;
import java.util.Optional;

/** Names and words of any origin as a chart may have them: on one line, and nothing else than names and words. */
final class ChartNames {

    private ChartNames() {}

    /** A text on one line, without characters nobody sees. */
    static String plain(String text) {
        return text.replaceAll("\\p{Cntrl}+", " ").strip();
    }

    /** A section's name that is read back as one; empty when there is none. */
    static Optional<String> section(String name) {
        String bare = withoutBrackets(plain(name)).strip();
        if (bare.isEmpty()) {
            return Optional.empty();
        }
        // A letter alone would be a chord.
        boolean isOne = ChartTextReader.sectionName("[" + bare + "]").isPresent();
        return Optional.of(isOne ? bare : "Part " + bare);
    }

    /** Words of one chord; where they stand is kept. */
    static String lyric(String lyric) {
        return withoutBrackets(lyric.replaceAll("\\p{Cntrl}", " "));
    }

    /** A line of words that is read back as one: a single A would be a chord, {@code key: D} a header. */
    static String words(String line) {
        if (line.isBlank() || ChartTextReader.isWords(line)) {
            return line;
        }
        String lower = line.toLowerCase(Locale.ROOT).replace(':', ',');
        return ChartTextReader.isWords(lower) ? lower : "";
    }

    private static String withoutBrackets(String text) {
        return text.replace('[', '(')
                .replace(']', ')')
                .replace('{', '(')
                .replace('}', ')')
                .replace('|', '/');
    }
}
