package underhand.server.storage;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;

/**
 * One kind of thing in the book, as backups know it: the table it is kept in, and what of its rows is to be kept. Each feature
 * puts up a shelf for what it stores; a backup is all shelves, in their order.
 *
 * @param kind what the things are called in a backup, such as {@code songs}
 * @param order lower first: what is referred to comes before what refers to it
 * @param table where they are stored, with the columns id and uid beside those below
 * @param columns what is kept of a row
 * @param versioned whether the table counts the changes of a row in the column version
 * @param references kind of what is referred to, by path of the number in a row's content: {@code decisions.playerId}
 * @param label field that names a thing for people, such as {@code title}
 * @param check throws, saying what is wrong, when a row's content could not be used
 */
public record Shelf(
        String kind,
        int order,
        String table,
        List<Column> columns,
        boolean versioned,
        Map<String, String> references,
        String label,
        Consumer<JsonNode> check) {

    public Shelf {
        columns = List.copyOf(columns);
        references = Map.copyOf(references);
    }

    /** How a column is kept. */
    public enum Form {
        /** Text in the row's JSON. */
        TEXT,
        /** A JSON value in the row's JSON. */
        JSON,
        /** A file of its own, for it is long and people may want to read it. */
        FILE,
        /** A point of time in the row's JSON. */
        TIME,
        /** A day in the row's JSON; may be missing. */
        DAY,
        /** A point of time in the shelf's log. */
        LOGGED,
        /** The number of a row in another table. */
        NUMBER
    }

    /**
     * @param name in the table
     * @param field in the backup
     */
    public record Column(String name, String field, Form form) {}

    /**
     * The check of a shelf whose rows hold one document each.
     *
     * @param document field the document is in
     * @param check throws, saying what is wrong with it
     */
    public static <T> Consumer<JsonNode> holding(ObjectMapper json, String document, Class<T> type, Consumer<T> check) {
        return content -> {
            try {
                check.accept(json.treeToValue(content.path(document), type));
            } catch (JsonProcessingException e) {
                throw new IllegalArgumentException(
                        "its " + document + " cannot be read (" + e.getOriginalMessage() + ").", e);
            }
        };
    }

    /** When a thing of this shelf was last changed: the field merging goes by. */
    public static final String CHANGED = "changedAt";

    /** When a thing was removed; it waits to be put back. */
    public static final String REMOVED = "removedAt";
}
