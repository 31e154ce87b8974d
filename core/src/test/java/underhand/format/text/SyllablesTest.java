package underhand.format.text;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SyllablesTest {

    /** Words as song sheets divide them (common practice). */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "lan-tern",
                "har-bour",
                "oh",
                "morn",
                "mor-ning",
                "to-mor-row",
                "wa-ter",
                "ri-ver",
                "tow-path",
                "un-barred",
                "walked",
                "wan-ted",
                "ro-ses",
                "gates",
                "lone",
                "lit-tle",
                "hand-ling",
                "whis-per",
                "stran-ger",
                "the",
                "light",
                "ca-nal",
                "sto-ries",
                "moun-tain",
                "yes",
                "lock-keep",
                "rain",
                "A-bend",
                "Was-ser",
                "Blu-men",
                "an-der",
                "chil-dren",
                "mas-ter",
                "ap-ple",
                "a-gain",
                "o-ver",
                "un-der",
                "sil-ver",
                "be-tween"
            })
    void starts_cutsWhereASongSheetDoes(String divided) {
        boolean hyphened = divided.equals("lock-keep");
        String word = hyphened ? divided : divided.replace("-", "");
        List<Integer> starts = Syllables.starts(word);
        String cut = IntStream.range(0, starts.size())
                .mapToObj(i -> word.substring(starts.get(i), i + 1 < starts.size() ? starts.get(i + 1) : word.length()))
                .collect(Collectors.joining(hyphened ? "" : "-"));
        assertEquals(divided, cut);
    }
}
