package underhand.format.text;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import underhand.chart.Bar;
import underhand.chart.Chart;
import underhand.chart.FoldedBar;
import underhand.chart.Folding;

/** What charts write as repeats stands on the page as repeats. */
class FoldingTest {

    private static List<List<Integer>> backs(Chart chart) {
        return chart.sections().stream()
                .map(section -> section.bars().stream().map(Bar::back).toList())
                .toList();
    }

    /** Bars by their numbers, with {@code (} and {@code )2} around what is played twice and {@code 1[ ]} around an ending. */
    private static String shown(List<FoldedBar> folded) {
        return folded.stream()
                .map(bar -> (bar.opens() ? "(" : "")
                        + (bar.endingBegins() ? bar.ending() + "[" : "")
                        + bar.bar()
                        + (bar.endingEnds() ? "]" : "")
                        + (bar.times() > 0 ? ")" + bar.times() : ""))
                .collect(Collectors.joining(" "));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "| C | G |; 1 2",
                "|: C | G :|; (1 2)2",
                "|: C | G :| x3; (1 2)3",
                "| C | G | x2; (1 2)2",
                "|: C | G :| F | C; (1 2)2 5 6",
                "|: C | G |1. F :|2. Am |; (1 2 1[3])2 2[6]",
                "|: C | G |1. F :|2. Am :|3. Dm |; (1 2 1[3])2 2[6])2 3[9]",
                "|: C | G |1. F | Em :|2. Am | Dm | C; (1 2 1[3 4])2 2[7 8] 9",
                "| C | % | %; 1 2 3",
                "|: C | % :|; (1 2)2",
                "|: C :|; 1 2",
                "[Verse] x2\\n|: C | G :| F; (1 2)2 5 (6 7)2 10",
            })
    void repeats_standAsTheyAreWritten(String chart, String shown) {
        Chart read = ChartTextReader.read(chart.replace("\\n", "\n")).chart();
        assertEquals(shown, shown(Folding.of(backs(read), (a, b) -> true)));
    }

    /** A pass that is played otherwise is written out, and nothing after it leans on it. */
    @Test
    void whatIsPlayedOtherwise_isWrittenOut() {
        Chart thrice = ChartTextReader.read("|: C | G :| x3").chart();
        assertEquals("(1 2)2 5 6", shown(Folding.of(backs(thrice), (a, b) -> b != 6)));
        assertEquals("1 2 3 4 5 6", shown(Folding.of(backs(thrice), (a, b) -> false)));
        Chart ends = ChartTextReader.read("|: C | G |1. F :|2. Am |").chart();
        assertEquals("1 2 3 4 5 6", shown(Folding.of(backs(ends), (a, b) -> b != 4)));
    }

    /** Whatever repeats, every bar of the song is played by exactly one bar of the page, and the page keeps their order. */
    @Test
    void everyBarIsPlayedOnce() {
        Random random = new Random(4);
        List<String> pieces = List.of(
                "|: C | G :|",
                "| F | Em |",
                "|: Am | Dm |1. G :|2. C |",
                "|: C :| x4",
                "| D | % |",
                "|: C | % | F :| x3");
        for (int round = 0; round < 300; round++) {
            String song = IntStream.rangeClosed(0, random.nextInt(5))
                    .mapToObj(i -> (random.nextInt(3) == 0 ? "[Part " + i + "] x" + (1 + random.nextInt(3)) + "\n" : "")
                            + pieces.get(random.nextInt(pieces.size())))
                    .collect(Collectors.joining("\n"));
            Chart chart = ChartTextReader.read(song).chart();
            int odd = 2 + random.nextInt(4);
            List<FoldedBar> folded = Folding.of(backs(chart), (a, b) -> b % odd != 0);
            List<Integer> played = new ArrayList<>();
            int before = 0;
            for (FoldedBar bar : folded) {
                assertEquals(bar.bar(), bar.plays().get(0), song);
                assertEquals(true, bar.bar() > before, song);
                before = bar.bar();
                played.addAll(bar.plays());
            }
            int bars = chart.sections().stream().mapToInt(s -> s.bars().size()).sum();
            assertEquals(
                    IntStream.rangeClosed(1, bars).boxed().toList(),
                    played.stream().sorted().toList(),
                    song);
        }
    }
}
