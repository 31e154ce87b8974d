package underhand.server.backup;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.sql.Clob;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import underhand.server.storage.Shelf;
import underhand.server.storage.Shelf.Column;
import underhand.server.storage.Shelf.Form;

/** Takes things from the tables of the book and puts them there, each as its shelf says. */
@Component
class Shelves {

    private final List<Shelf> all;
    private final JdbcTemplate jdbc;
    private final ObjectMapper json;

    Shelves(List<Shelf> shelves, JdbcTemplate jdbc, ObjectMapper json) {
        this.all =
                shelves.stream().sorted(Comparator.comparingInt(Shelf::order)).toList();
        this.jdbc = jdbc;
        this.json = json;
    }

    /** What is referred to before what refers to it. */
    List<Shelf> all() {
        return all;
    }

    /** Everything on a shelf, in the order in which it came there. */
    List<Item> items(Shelf shelf) {
        Map<String, Map<Long, UUID>> uids = new HashMap<>();
        shelf.references().values().forEach(kind -> uids.computeIfAbsent(kind, k -> uidsById(shelf(k))));
        String columns = shelf.columns().stream().map(Column::name).collect(Collectors.joining(", "));
        return jdbc.query(
                "select id, uid, " + columns + " from " + shelf.table() + " order by id",
                (row, number) -> item(shelf, row, uids));
    }

    private Shelf shelf(String kind) {
        return all.stream().filter(s -> s.kind().equals(kind)).findFirst().orElseThrow();
    }

    private Map<Long, UUID> uidsById(Shelf shelf) {
        Map<Long, UUID> uids = new HashMap<>();
        jdbc.query("select id, uid from " + shelf.table(), row -> {
            uids.put(row.getLong(1), row.getObject(2, UUID.class));
        });
        return uids;
    }

    private Item item(Shelf shelf, ResultSet row, Map<String, Map<Long, UUID>> uids) throws SQLException {
        ObjectNode content = json.createObjectNode();
        for (Column column : shelf.columns()) {
            content.set(column.field(), value(row, column));
        }
        shelf.references()
                .forEach((path, kind) -> refer(content, path, id -> {
                    UUID uid = uids.get(kind).get(id.asLong());
                    return uid == null ? json.nullNode() : json.getNodeFactory().textNode(uid.toString());
                }));
        return new Item(row.getObject("uid", UUID.class), row.getLong("id"), content);
    }

    private JsonNode value(ResultSet row, Column column) throws SQLException {
        return switch (column.form()) {
            case TEXT -> json.getNodeFactory().textNode(row.getString(column.name()));
            case FILE -> {
                Clob text = row.getClob(column.name());
                yield json.getNodeFactory().textNode(text.getSubString(1, (int) text.length()));
            }
            case DAY -> {
                LocalDate day = row.getObject(column.name(), LocalDate.class);
                yield day == null ? json.nullNode() : json.getNodeFactory().textNode(day.toString());
            }
            case NUMBER -> json.getNodeFactory().numberNode(row.getLong(column.name()));
            case TIME, LOGGED -> {
                OffsetDateTime at = row.getObject(column.name(), OffsetDateTime.class);
                yield at == null
                        ? json.nullNode()
                        : json.getNodeFactory().textNode(at.toInstant().toString());
            }
            case JSON -> {
                String text = row.getString(column.name());
                yield text == null ? json.nullNode() : tree(text);
            }
        };
    }

    private JsonNode tree(String text) {
        try {
            return json.readTree(text);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("a JSON column of the book holds no JSON", e);
        }
    }

    /** Puts something else in the place of a reference, where there is one. */
    private interface Reference {
        JsonNode of(JsonNode said);
    }

    private static void refer(ObjectNode content, String path, Reference reference) {
        String[] fields = path.split("\\.");
        JsonNode at = content;
        for (int i = 0; i < fields.length - 1; i++) {
            at = at.path(fields[i]);
        }
        String last = fields[fields.length - 1];
        if (at instanceof ObjectNode holder && holder.hasNonNull(last)) {
            holder.set(last, reference.of(holder.get(last)));
        }
    }

    /** Content as it is stored: what is referred to by its number in this book; nothing where it is not there. */
    private ObjectNode stored(Shelf shelf, Item item) {
        ObjectNode content = item.content().deepCopy();
        shelf.references()
                .forEach((path, kind) -> refer(content, path, said -> {
                    Optional<Long> id = id(shelf(kind), UUID.fromString(said.asText()));
                    return id.<JsonNode>map(i -> json.getNodeFactory().numberNode(i))
                            .orElse(json.nullNode());
                }));
        return content;
    }

    private Optional<Long> id(Shelf shelf, UUID uid) {
        return jdbc
                .query("select id from " + shelf.table() + " where uid = ?", (row, number) -> row.getLong(1), uid)
                .stream()
                .findFirst();
    }

    /**
     * Puts a thing on its shelf, in the place of the one with its uid.
     *
     * @throws RuntimeException saying why it cannot be used
     */
    void put(Shelf shelf, Item item) {
        ObjectNode content = stored(shelf, item);
        try {
            shelf.check().accept(content);
        } catch (RuntimeException e) {
            throw new BackupException(
                    "\"" + item.label(shelf) + "\" of the " + shelf.kind() + " in this backup cannot be used: "
                            + e.getMessage(),
                    e);
        }
        Optional<Long> there = id(shelf, item.uid());
        List<Object> values = new ArrayList<>();
        for (Column column : shelf.columns()) {
            values.add(value(content.path(column.field()), column));
        }
        if (there.isPresent()) {
            String sets = shelf.columns().stream()
                    .map(c -> c.name() + " = " + mark(c))
                    .collect(Collectors.joining(", "));
            values.add(there.get());
            jdbc.update(
                    "update " + shelf.table() + " set " + sets + (shelf.versioned() ? ", version = version + 1" : "")
                            + " where id = ?",
                    values.toArray());
        } else {
            add(shelf, item, values);
        }
    }

    /** Adds a row, with its old number where that is free. */
    private void add(Shelf shelf, Item item, List<Object> values) {
        List<Object> row = new ArrayList<>(values);
        row.add(item.uid());
        row.add(freeId(shelf, item.id()));
        String names = shelf.columns().stream().map(Column::name).collect(Collectors.joining(", ")) + ", uid, id";
        String marks = shelf.columns().stream().map(Shelves::mark).collect(Collectors.joining(", ")) + ", ?, ?";
        jdbc.update(
                "insert into " + shelf.table() + " (" + names + (shelf.versioned() ? ", version" : "") + ") values ("
                        + marks + (shelf.versioned() ? ", 0" : "") + ")",
                row.toArray());
    }

    private long freeId(Shelf shelf, long wanted) {
        Boolean isFree = jdbc.queryForObject(
                "select not exists (select 1 from " + shelf.table() + " where id = ?)", Boolean.class, wanted);
        return wanted > 0 && Boolean.TRUE.equals(isFree) ? wanted : highestId(shelf) + 1;
    }

    private long highestId(Shelf shelf) {
        Long highest = jdbc.queryForObject("select coalesce(max(id), 0) from " + shelf.table(), Long.class);
        return highest == null ? 0 : highest;
    }

    private static String mark(Column column) {
        return column.form() == Form.JSON ? "? format json" : "?";
    }

    private static Object value(JsonNode node, Column column) {
        boolean isNull = node.isNull() || node.isMissingNode();
        return switch (column.form()) {
            case TEXT, FILE -> isNull ? "" : node.asText();
            case DAY -> isNull ? null : LocalDate.parse(node.asText());
            case NUMBER -> isNull ? null : node.asLong();
            case TIME, LOGGED -> isNull ? null : Instant.parse(node.asText()).atOffset(ZoneOffset.UTC);
            case JSON -> isNull ? null : node.toString();
        };
    }

    /** Counts on from the highest number of every shelf. Ends the transaction, so it comes last. */
    void countOn() {
        for (Shelf shelf : all) {
            jdbc.execute("alter table " + shelf.table() + " alter column id restart with " + (highestId(shelf) + 1));
        }
    }

    void drop(Shelf shelf, UUID uid) {
        jdbc.update("delete from " + shelf.table() + " where uid = ?", uid);
    }
}
