package underhand.harmony;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import org.junit.jupiter.api.Test;
import underhand.chart.Chart;
import underhand.format.text.ChartTextReader;

/** How far a decision about a chord reaches. */
class ReachTest {

    private static final Chart BLUES = ChartTextReader.read(
                    "[Verse]\n| Am | E7 | Am |\n[Chorus]\n| Am | E7 | Am | E7 | Dm |")
            .chart();

    @Test
    void alike_isTheSameChordThatLeadsToTheSame() {
        assertEquals(List.of(1, 4), Reach.of(BLUES, 1).alike());
        assertEquals(List.of(1), Reach.of(BLUES, 1).section());
        assertEquals(List.of(4), Reach.of(BLUES, 4).section());
        assertEquals(List.of(6), Reach.of(BLUES, 6).alike());
    }

    @Test
    void alike_ofAnotherLength_isNot() {
        Chart chart = ChartTextReader.read("| A . D . | A | D | A . D . |").chart();
        assertEquals(List.of(0, 4), Reach.of(chart, 0).alike());
    }

    @Test
    void still_isAsLongAsTheChordStandsInItsSection() {
        Chart chart = ChartTextReader.read("[Verse]\n| Am | Am | Am |\n[Chorus]\n| Am | F |")
                .chart();
        assertEquals(List.of(0, 1, 2), Reach.of(chart, 1).still());
        assertEquals(List.of(3), Reach.of(chart, 3).still());
    }
}
