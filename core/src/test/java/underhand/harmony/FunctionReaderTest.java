package underhand.harmony;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import underhand.chart.Chart;
import underhand.format.text.ChartTextReader;
import underhand.harmony.Function.Kind;

class FunctionReaderTest {

    /** What harmony books say of the chord in brackets; common practice. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "C; [C] | F | G7 | C; DIATONIC; I; tonic",
                "C; C | Am | [G7] | C; DIATONIC; V7; dominant",
                "C; C | [Fm] | C; BORROWED; iv; iv of the minor key, borrowed",
                "G; G | [F] | G; BORROWED; ♭VII; of the minor key",
                "C; C | [Ab] | Bb | C; BORROWED; ♭VI; borrowed",
                "C; C | [Dm7b5] | G7 | C; BORROWED; iiø7; borrowed",
                "Am; Am | [D] | Am; BORROWED; IV; of the major key",
                "Am; Dm | [E] | Am; DIATONIC; V; dominant",
                "C; C | [A7] | Dm | G7; SECONDARY_DOMINANT; V7/ii; the dominant of ii",
                "Eb; Eb | [G7] | Cm; SECONDARY_DOMINANT; V7/vi; the dominant of vi",
                "G; G | [A] | D | G; SECONDARY_DOMINANT; V/V; the dominant of V",
                "C; C | [Em7b5] | A7 | Dm; SECONDARY_TWO; iiø7/ii; the second of ii",
                "Bb; Bb | [Fm7] | Bb7 | Eb; SECONDARY_TWO; ii7/IV; the second of IV",
                "C; Dm7 | [Db7] | C; TRITONE_SUBSTITUTE; ♭II7; a tritone off",
                "C; F | [Bb7] | C; BACKDOOR; ♭VII7; back door",
                "C; F | [F#dim7] | C/G; PASSING_DIMINISHED; ♯iv°7; passing between F and C/G",
                "C; C | [C#dim7] | Dm; PASSING_DIMINISHED; ♭ii°7; passing",
                "C; F | [G#dim7] | Am; LEADING_DIMINISHED; ♭vi°7; leading up to Am",
                "C; C | [Cdim7] | C; COMMON_TONE_DIMINISHED; i°7; keeps the root",
                "Am; [Am] | Am(maj7) | Am7 | Am6; LINE; i; falling line",
                "Am; Am | [Am(maj7)] | Am7 | Am6; LINE; imaj7; falling line",
                "A; [A7] | D7 | A7 | E7; BLUES; I7; rests where it is",
                "A; A7 | [D7] | A7 | E7; BLUES; IV7; rests where it is",
                "C; F | G | C A7 | [Dm7] G7; TURNAROUND; ii7; turnaround",
                "C; F | [G#dim7] | Am; LEADING_DIMINISHED; ♭vi°7; E7♭9 without its root",
                "Am; Dm | [Bdim7] | Am; DIATONIC; ii°7; E7♭9 without its root",
                "C; Dm | [Bdim7] | G7; DIATONIC; vii°7; G7♭9 without its root",
                "C; [Em7] | A7 | Dm7 | G7; SECONDARY_TWO; ii7/ii; chain of seconds and fifths",
                "C; Em7 | A7 | Dm7 | [G7]; DIATONIC; V7; chain of seconds and fifths",
                "C; C | [F#] | C; OUTSIDE; ♯IV; from outside the key"
            })
    void function_chordAmongItsNeighbours_isNamed(String key, String bars, Kind kind, String numeral, String words) {
        Chart chart = ChartTextReader.read("key: " + key + "\n| " + bars.replaceAll("[\\[\\]]", "") + " |")
                .chart();
        int at = (int) bars.substring(0, bars.indexOf('['))
                .chars()
                .mapToObj(c -> (char) c)
                .filter(Character::isUpperCase)
                .count();
        Function function = HarmonyReader.of(chart).function(at).orElseThrow();
        assertEquals(kind, function.kind(), function.words());
        assertEquals(numeral, function.numeral());
        assertTrue(function.words().contains(words), function.words());
    }
}
