package underhand.server.drills;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.MappingIterator;
import com.fasterxml.jackson.dataformat.csv.CsvMapper;
import com.fasterxml.jackson.dataformat.csv.CsvParser;
import com.fasterxml.jackson.dataformat.csv.CsvSchema;
import java.io.IOException;
import java.time.DateTimeException;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import underhand.practice.Run;
import underhand.server.platform.InputException;

/** A log as a table of comma-separated values (RFC 4180), a run a line, its columns named in the first. */
final class DrillCsv {

    private static final List<String> COLUMNS = List.of("at", "drill", "result", "tempo", "seconds");
    private static final int MOST_RUNS = 20_000;

    private static final CsvMapper MAPPER = new CsvMapper();

    private DrillCsv() {}

    static String write(List<Run> runs) {
        CsvSchema.Builder schema = CsvSchema.builder().setUseHeader(true);
        COLUMNS.forEach(schema::addColumn);
        List<Map<String, Object>> rows = runs.stream()
                .map(run -> Map.<String, Object>of(
                        "at", run.at().atOffset(ZoneOffset.UTC).toString(),
                        "drill", run.drill(),
                        "result", run.result().id(),
                        "tempo", run.tempo(),
                        "seconds",
                                run.seconds().isPresent()
                                        ? Double.toString(run.seconds().getAsDouble())
                                        : ""))
                .toList();
        try {
            return MAPPER.writer(schema.build()).writeValueAsString(rows);
        } catch (JsonProcessingException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    /** @throws InputException naming the line that cannot be read; nothing of such a table is taken */
    static List<Run> read(String text) {
        List<Run> runs = new ArrayList<>();
        CsvSchema schema = CsvSchema.emptySchema().withHeader();
        try (MappingIterator<Map<String, String>> rows = MAPPER.readerForMapOf(String.class)
                .with(CsvParser.Feature.TRIM_SPACES)
                .with(CsvParser.Feature.SKIP_EMPTY_LINES)
                .with(schema)
                .readValues(text)) {
            while (rows.hasNext()) {
                if (runs.size() == MOST_RUNS) {
                    throw InputException.field("table", "A table may have " + MOST_RUNS + " runs at most. Split it.");
                }
                // The first line names the columns.
                runs.add(run(rows.next(), runs.size() + 2));
            }
        } catch (IOException | RuntimeException unread) {
            if (unread instanceof InputException named) {
                throw named;
            }
            throw InputException.field(
                    "table",
                    "Line " + (runs.size() + 2) + " is not read as comma-separated values. Its columns are "
                            + String.join(", ", COLUMNS) + ".");
        }
        return runs;
    }

    private static Run run(Map<String, String> row, int line) {
        for (String column : COLUMNS.subList(0, 4)) {
            if (row.getOrDefault(column, "").isBlank()) {
                throw InputException.field(
                        "table",
                        "Line " + line + " has no " + column + ". The first line names the columns: "
                                + String.join(", ", COLUMNS) + ".");
            }
        }
        String seconds = row.getOrDefault("seconds", "");
        try {
            return new StoredRun(
                            row.get("drill"),
                            row.get("result"),
                            Integer.parseInt(row.get("tempo")),
                            seconds.isBlank() ? null : Double.valueOf(seconds))
                    .toRun(OffsetDateTime.parse(row.get("at")).toInstant());
        } catch (NumberFormatException number) {
            throw InputException.field(
                    "table", "Line " + line + ": tempo and seconds are numbers, such as 84 and 0.62.");
        } catch (DateTimeException time) {
            throw InputException.field(
                    "table", "Line " + line + ": at is a time with its offset, such as 2026-05-01T19:30:00+02:00.");
        } catch (RuntimeException unreadable) {
            throw InputException.field("table", "Line " + line + ": " + unreadable.getMessage());
        }
    }
}
