package underhand.table;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;

class TableTest {

    @Test
    void read_goodRows_givesThemInOrderWithoutComments() {
        List<Integer> values = Table.read(TableTest.class, "good.csv", 2, row -> row.number(1));
        assertEquals(List.of(1, 2), values);
    }

    @Test
    void read_badValue_namesFileLineTextAndReason() {
        TableException e = assertThrows(
                TableException.class, () -> Table.read(TableTest.class, "bad.csv", 2, row -> row.number(1)));
        assertTrue(e.getMessage().startsWith("bad.csv, line 3: \"b,two\""), e.getMessage());
        assertTrue(e.getMessage().contains("two"), e.getMessage());
    }

    @Test
    void read_wrongNumberOfColumns_saysHowMany() {
        TableException e = assertThrows(
                TableException.class, () -> Table.read(TableTest.class, "good.csv", 3, row -> row.cell(0)));
        assertTrue(e.getMessage().contains("expected 3 columns, found 2"), e.getMessage());
    }
}
