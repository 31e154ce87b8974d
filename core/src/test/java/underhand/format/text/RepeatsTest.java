package underhand.format.text;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import underhand.chart.Chart;
import underhand.pitch.Key;

class RepeatsTest {

    private static String written(Chart chart) {
        StringBuilder written = new StringBuilder();
        chart.placements().forEach(p -> written.append(p.written()).append(' '));
        return written.toString().trim();
    }

    /** A repeated placement knows the one it repeats: repeat signs, times, same bar, endings, a section that returns. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "|: G | D :|; 0 1 0 1",
                "| G | D | x3; 0 1 0 1 0 1",
                "| G | % | D |; 0 0 2",
                "|: G | D |1. C :|2. A |3. E |; 0 1 2 0 1 5 6",
                "|: G | D |1. C :|2. A :|3. E |; 0 1 2 0 1 5 0 1 8",
                "[Verse]/| G | D |/[Chorus]/| C | A |/[Verse]/| G | D |; 0 1 2 3 0 1",
                "[Verse]/| G | D |/[Verse]/| G | A |; 0 1 2 3",
                "[Verse]/| G D | % |; 0 1 0 1",
            })
    void placements_repeats_sayWhatTheyRepeat(String source, String expected) {
        assertEquals(
                expected,
                written(ChartTextReader.read(source.replace('/', '\n')).chart()));
    }

    @ParameterizedTest
    @CsvSource({"0, F | Bbm7 | C7/E", "2, G | Cm7 | D7/F#", "-1, E | Am7 | B7/D#", "12, F | Bbm7 | C7/E"})
    void transpose_chart_movesEveryChordAndTheKey(int semitones, String expected) {
        Chart moved =
                ChartTextReader.read("key: F\n| F | Bbm7 | C7/E |").chart().transpose(semitones, Key.parse("F"));
        assertEquals(
                expected,
                String.join(
                        " | ",
                        moved.placements().stream()
                                .map(p -> p.placement().chord().orElseThrow().toString())
                                .toList()));
        assertEquals(expected.substring(0, 1), moved.key().orElseThrow().tonic().toString());
    }
}
