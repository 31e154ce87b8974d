package underhand.table;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Function;

/** A knowledge table read from a resource next to the class that owns it. */
public final class Table {

    private Table() {}

    /** One row: its cells, trimmed, and where it stands. */
    public record Row(String file, int line, String text, List<String> cells) {

        /** The cell of a column, counted from 0. */
        public String cell(int column) {
            return cells.get(column);
        }

        public int number(int column) {
            return Integer.parseInt(cell(column));
        }

        public double decimal(int column) {
            return Double.parseDouble(cell(column));
        }

        /** The words of a cell, separated by spaces; none for an empty cell. */
        public List<String> words(int column) {
            return cell(column).isEmpty() ? List.of() : List.of(cell(column).split(" +"));
        }
    }

    /**
     * Reads all rows of a UTF-8 resource and turns each into a value.
     *
     * @param owner class whose package holds the resource
     * @param columns how many cells every row must have
     * @throws TableException naming file, line, text and reason, at the first row that cannot be read
     */
    public static <T> List<T> read(Class<?> owner, String file, int columns, Function<Row, T> reader) {
        List<T> values = new ArrayList<>();
        List<String> lines = lines(owner, file);
        for (int i = 0; i < lines.size(); i++) {
            String text = lines.get(i);
            if (text.isBlank() || text.startsWith("# ")) {
                continue;
            }
            List<String> cells =
                    Arrays.stream(text.split(",", -1)).map(String::trim).toList();
            if (cells.size() != columns) {
                throw new TableException(
                        file, i + 1, text, "expected " + columns + " columns, found " + cells.size(), null);
            }
            try {
                values.add(reader.apply(new Row(file, i + 1, text, cells)));
            } catch (RuntimeException e) {
                throw new TableException(file, i + 1, text, e.getMessage(), e);
            }
        }
        return List.copyOf(values);
    }

    private static List<String> lines(Class<?> owner, String file) {
        try (InputStream in = owner.getResourceAsStream(file)) {
            if (in == null) {
                throw new IllegalStateException("table " + file + " is not beside " + owner.getName());
            }
            return new String(in.readAllBytes(), StandardCharsets.UTF_8).lines().toList();
        } catch (IOException e) {
            throw new UncheckedIOException("cannot read table " + file, e);
        }
    }
}
