package underhand.part;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.stream.Collectors;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Written lengths, in twenty-fourths of a quarter. */
class NoteValueTest {

    @ParameterizedTest
    @CsvSource({
        "0, 96, 1",
        "0, 72, 2.",
        "0, 24, 4",
        "12, 24, 8 8",
        "36, 36, 8 4",
        "0, 32, 2t",
        "0, 8, 8t",
        "16, 8, 8t",
        "0, 60, 2 8"
    })
    void noteValues_splitWhereABeatBegins(int from, int length, String expected) {
        String found = NoteValue.of(from, length).stream()
                .map(v -> v.type() + (v.dotted() ? "." : "") + (v.triplet() ? "t" : ""))
                .collect(Collectors.joining(" "));
        assertEquals(expected, found);
    }
}
