package underhand.format.text;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import underhand.chart.Chart;

/** Which bars begin a line of the page. */
class ChartLinesTest {

    static String lines(Chart chart) {
        return chart.placements().stream()
                .filter(Chart.Slot::newLine)
                .map(slot -> Integer.toString(slot.bar()))
                .collect(Collectors.joining(" "));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "| C | G |\\n| Am | F |; 1 3",
                "[Verse]\\n| C | G | F |\\n[Chorus]\\n| Am F |; 1 4",
                "[G]Down the [C]stream\\n[D]Row on; 1 3",
                "G     C\\nDown the stream\\nD\\nRow on; 1 3",
                // A line of eight is whole, a longer one goes over every four bars.
                "| C | G | C | G | C | G | C | G |; 1",
                "| C | G | C | G | C | G | C | G | C |\\n| F | C |; 1 5 9 10",
                // What is repeated breaks where it broke.
                "|: C | G |\\n| F | C :|\\n| G |; 1 3 5 7 9",
                "[Verse] x2\\n| C | G |\\n| F | C |; 1 3 5 7",
                "| C | % |\\n| % | F |; 1 3",
                // A change of key is a section of its own.
                "| C | G |\\nkey: D\\n| D | A |; 1 3",
                "Intro: G D Em C\\n[Verse]\\nG D; 1 5"
            })
    void lines_areThoseOfTheChart(String text, String bars) {
        assertEquals(bars, lines(ChartTextReader.read(text.replace("\\n", "\n")).chart()));
    }

    /** Written and read again, every line begins where it began. */
    @ParameterizedTest
    @CsvSource({"1 3 5", "1 2 6", "1", "1 6"})
    void lines_writtenAsText_areReadBack(String bars) {
        List<String> begins = List.of(bars.split(" "));
        StringBuilder text = new StringBuilder("[Verse]\n");
        for (int bar = 1; bar <= 7; bar++) {
            text.append(begins.contains(Integer.toString(bar)) ? "\n| C |" : " C |");
        }
        Chart chart = ChartTextReader.read(text.toString()).chart();
        assertEquals(bars, lines(chart));
        assertEquals(
                bars, lines(ChartTextReader.read(ChartTextWriter.write(chart)).chart()));
    }
}
