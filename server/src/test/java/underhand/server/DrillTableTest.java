package underhand.server;

import static org.hamcrest.Matchers.containsString;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.ResultActions;

/** The log of drills as a table. */
@ServerTest
@TestPropertySource(properties = "spring.datasource.url=jdbc:h2:mem:changed")
class DrillTableTest extends DrillCalls {

    /** What was written is read again as the same log, once. */
    @Test
    void log_asATable_goesOutAndComesInAgainOnce() throws Exception {
        String drill = plan("?minutes=20").get("drills").get(0).get("drill").asText();
        log(Map.of("drill", drill, "result", "clean", "tempo", 84, "seconds", 0.62, "at", "2026-05-01T19:30:00+02:00"))
                .andExpect(status().isCreated());
        String table = mvc.perform(get("/api/v1/drills/log.csv"))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString();
        assertTrue(table.startsWith("at,drill,result,tempo,seconds\n"), table);
        assertTrue(table.contains("2026-05-01T17:30Z") && table.contains("clean,84,0.62"), table);
        long player = newPlayer("null").get("id").asLong();
        int runs = table.split("\n").length - 1;
        take(table, "")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.added").value(0))
                .andExpect(jsonPath("$.known").value(runs));
        take(table, "?playerId=" + player)
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.added").value(runs));
        String theirs = mvc.perform(get("/api/v1/drills/log.csv?playerId=" + player))
                .andReturn()
                .getResponse()
                .getContentAsString();
        assertTrue(List.of(theirs.split("\n")).containsAll(List.of(table.split("\n"))), theirs);
    }

    private ResultActions take(String table, String query) throws Exception {
        return mvc.perform(
                post("/api/v1/drills/log.csv" + query).contentType("text/csv").content(table));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "2026-05-01T19:30:00Z,DRILL,clean,fast,;Line 3: tempo and seconds are numbers",
                "yesterday,DRILL,clean,84,;Line 3: at is a time",
                "2026-05-01T19:30:00Z,DRILL,perfect,84,;Line 3: result",
                "2026-05-01T19:30:00Z,juggling,clean,84,;Line 3: drill",
                "2026-05-01T19:30:00Z,,clean,84,;Line 3 has no drill",
            })
    void table_thatCannotBeRead_isRefusedByItsLine_andNothingIsTaken(String row, String said) throws Exception {
        String drill =
                "\"" + plan("?minutes=20").get("drills").get(0).get("drill").asText() + "\"";
        String before = mvc.perform(get("/api/v1/drills/log.csv"))
                .andReturn()
                .getResponse()
                .getContentAsString();
        String table = "at,drill,result,tempo,seconds\n2026-05-02T19:30:00Z," + drill + ",clean,84,\n"
                + row.replace("DRILL", drill) + "\n";
        take(table, "")
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail", containsString(said)));
        assertEquals(
                before,
                mvc.perform(get("/api/v1/drills/log.csv"))
                        .andReturn()
                        .getResponse()
                        .getContentAsString());
    }
}
