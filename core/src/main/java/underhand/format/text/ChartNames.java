package underhand.format.text;

import java.util.Optional;
import java.util.stream.Stream;

/** Names and words of any origin as a chart may have them: on one line, and nothing else than names and words. */
final class ChartNames {

    private ChartNames() {}

    /** A text on one line, without characters nobody sees. */
    static String plain(String text) {
        return text.replaceAll("\\p{Cntrl}+", " ").strip();
    }

    /** A line that is read back as a section of this name; empty when there is none. */
    static Optional<String> section(String name) {
        String bare = withoutBrackets(plain(name)).strip();
        if (bare.isEmpty()) {
            return Optional.empty();
        }
        // A letter in brackets may be a chord, and x2 says how often.
        return Optional.of(Stream.of("[" + bare + "]", bare + ":")
                .filter(line -> {
                    Line read = new LineReader(Spelling.ENGLISH).read(SourceLine.of(1, line));
                    return read.kind() == Line.Kind.HEADING
                            && read.heading().orElseThrow().name().equals(bare);
                })
                .findFirst()
                .orElse("[Part " + bare.replaceAll("[xX×:]", " ").strip() + "]"));
    }

    /** Words of one chord; where they stand is kept. */
    static String lyric(String lyric) {
        return withoutBrackets(lyric.replaceAll("\\p{Cntrl}", " "));
    }

    private static String withoutBrackets(String text) {
        return text.replace('[', '(')
                .replace(']', ')')
                .replace('{', '(')
                .replace('}', ')')
                .replace('|', '/');
    }
}
