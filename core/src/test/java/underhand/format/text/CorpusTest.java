package underhand.format.text;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Charts as people type them, each with the chords, bars, sections and words it must give: written for this test, none of
 * them a real song. A case begins with {@code === name}; under its text, after {@code ---}, stands what {@link Shown} says.
 */
class CorpusTest {

    static final List<String> FILES = List.of(
            "bars.txt",
            "headings.txt",
            "headers.txt",
            "lines.txt",
            "spelling.txt",
            "words.txt",
            "repeats.txt",
            "whole.txt");

    private static final int FEWEST = 120;

    record Case(String name, String text, List<String> shown) {
        @Override
        public String toString() {
            return name;
        }
    }

    static Stream<Case> cases() {
        return FILES.stream().flatMap(file -> cases(file).stream());
    }

    private static List<Case> cases(String file) {
        try (var in = Objects.requireNonNull(CorpusTest.class.getResourceAsStream("corpus/" + file), file)) {
            List<Case> cases = new ArrayList<>();
            for (String one : new String(in.readAllBytes(), StandardCharsets.UTF_8).split("(?m)^=== ")) {
                if (!one.isBlank()) {
                    String[] parts = one.split("(?m)^---\n", 2);
                    int end = parts[0].indexOf('\n');
                    String text = parts[0].substring(end + 1).replaceFirst("\n$", "");
                    cases.add(new Case(
                            file + ": " + parts[0].substring(0, end),
                            text.replace("\\t", "\t"),
                            parts.length < 2
                                    ? List.of()
                                    : parts[1].strip().lines().toList()));
                }
            }
            return cases;
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    @Test
    void corpus_hasManyCharts() {
        assertTrue(cases().count() >= FEWEST, cases().count() + " charts");
    }

    @ParameterizedTest
    @MethodSource("cases")
    void read_givesWhatStandsBesideIt(Case one) {
        assertEquals(String.join("\n", one.shown()), String.join("\n", Shown.of(ChartTextReader.read(one.text()))));
    }
}
