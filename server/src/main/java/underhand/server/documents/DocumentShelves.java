package underhand.server.documents;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import underhand.server.storage.Shelf;
import underhand.server.storage.Shelf.Column;
import underhand.server.storage.Shelf.Form;

/** What backups keep of documents. */
public final class DocumentShelves {

    /** Before songs, which refer to them. */
    private static final int ORDER = 10;

    private DocumentShelves() {}

    /**
     * @param kind what they are called in a backup, such as {@code players}
     * @param column the content is in; it has the same name in a backup
     * @param check throws, naming what of a content cannot be
     */
    public static <T> Shelf of(
            String kind, String table, String column, ObjectMapper json, Class<T> type, Consumer<T> check) {
        return new Shelf(
                kind,
                ORDER,
                table,
                List.of(
                        new Column(column, column, Form.JSON),
                        new Column("changed_at", Shelf.CHANGED, Form.TIME),
                        new Column("removed_at", Shelf.REMOVED, Form.TIME)),
                true,
                Map.of(),
                column + ".name",
                Shelf.holding(json, column, type, check));
    }
}
