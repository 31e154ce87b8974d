package underhand.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The words of {@code docs/glossary.md} are the types there are. */
class GlossaryTest {

    private static final int MOST_WORDS = 40;

    private static final Pattern ENTRY =
            Pattern.compile("^\\| ([A-Z][^|]*) \\|[^|]*\\| `([\\w.]+)` \\|$", Pattern.MULTILINE);

    @Test
    void everyType_isThere_andTheWordsAreFew() throws IOException {
        List<MatchResult> entries = ENTRY.matcher(Files.readString(Path.of("..", "docs", "glossary.md")))
                .results()
                .toList();
        assertTrue(entries.size() > 20 && entries.size() <= MOST_WORDS, "words: " + entries.size());
        Set<String> types;
        try (Stream<Path> sources = Stream.concat(
                Files.walk(Path.of("..", "core", "src", "main", "java")), Files.walk(Path.of("src", "main", "java")))) {
            types = sources.map(p -> p.getFileName().toString())
                    .filter(name -> name.endsWith(".java"))
                    .map(name -> name.replace(".java", ""))
                    .collect(Collectors.toSet());
        }
        List<String> gone = entries.stream()
                .map(entry -> entry.group(2).split("\\.")[0])
                .filter(type -> !types.contains(type))
                .toList();
        assertEquals(List.of(), gone);
        assertEquals(
                entries.size(), entries.stream().map(e -> e.group(2)).distinct().count(), "a type has one word");
    }
}
