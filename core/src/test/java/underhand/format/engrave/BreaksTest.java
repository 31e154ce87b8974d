package underhand.format.engrave;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import underhand.format.engrave.Breaks.Row;

class BreaksTest {

    /** Rows of ten points: {@code s} begins a section, {@code -} goes on with it. */
    private static List<Row> rows(String sections) {
        return sections.chars().mapToObj(c -> new Row(10, c == 's')).toList();
    }

    @ParameterizedTest
    @CsvSource({
        // One page is enough.
        "s---s---, 100, 0",
        // Not eight rows and then two: five and five.
        "s---------, 80, 0 5",
        // The turn is between the sections though six and six would be as even.
        "s----s------, 80, 0 5",
        // The seventh row would open the second page alone.
        "s------s---, 60, 0 5",
        // Three pages, each with a section.
        "s----s----s----, 60, 0 5 10",
        // There is no other way than to open a page with the leftover.
        "s-, 10, 0 1"
    })
    void pages_areFilledAlike_andTurnBetweenSections(String sections, float room, String firsts) {
        assertEquals(Arrays.stream(firsts.split(" ")).map(Integer::valueOf).toList(), Breaks.of(rows(sections), room));
    }

    /** Bars are as rows: one that is larger where it begins needs that room, and does not begin there without need. */
    @Test
    void whatIsLargerAsTheFirst_hasRoomForThat() {
        List<Row> bars = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            bars.add(new Row(i % 2 == 0 ? 20 : 5, 20, i == 0));
        }
        assertEquals(List.of(0, 6), Breaks.of(bars, 80));
        assertEquals(List.of(0, 4, 8), Breaks.of(bars, 60));
    }

    @Test
    void nothing_hasNoPage() {
        assertEquals(List.of(), Breaks.of(List.of(), 100));
    }

    /** Of any rows: all on pages they fit on, no more pages than need be, and no leftover where its section could come along. */
    @Test
    void pages_ofRandomRows_holdThemAll_onTheFewest() {
        Random random = new Random(18);
        for (int i = 0; i < 2000; i++) {
            List<Row> rows = new ArrayList<>();
            for (int n = 1 + random.nextInt(40); n > 0; n--) {
                rows.add(new Row(10 + random.nextInt(60), rows.isEmpty() || random.nextInt(5) == 0));
            }
            float room = 100 + random.nextInt(200);
            List<Integer> firsts = Breaks.of(rows, room);
            assertEquals(0, firsts.get(0));
            for (int page = 0; page < firsts.size(); page++) {
                int end = page + 1 < firsts.size() ? firsts.get(page + 1) : rows.size();
                assertTrue(end > firsts.get(page), "an empty page");
                double high = rows.subList(firsts.get(page), end).stream()
                        .mapToDouble(Row::height)
                        .sum();
                assertTrue(high <= room || end == firsts.get(page) + 1, high + " points on a page of " + room);
            }
            assertEquals(greedy(rows, room), firsts.size(), "case " + i);
        }
    }

    /** Pages when each is filled before the next is begun: no way has fewer. */
    private static int greedy(List<Row> rows, float room) {
        int pages = 1;
        float high = 0;
        for (Row row : rows) {
            if (high > 0 && high + row.height() > room) {
                pages++;
                high = 0;
            }
            high += row.height();
        }
        return pages;
    }
}
