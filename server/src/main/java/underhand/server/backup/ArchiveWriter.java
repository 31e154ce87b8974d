package underhand.server.backup;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.core.io.ClassPathResource;
import underhand.server.storage.Shelf;
import underhand.server.storage.Shelf.Column;
import underhand.server.storage.Shelf.Form;

/**
 * Writes a book as a ZIP of open formats: a file of JSON for each shelf, as {@code schema.json} in it says, charts as the text
 * that was typed, points of time that are logged as CSV. The same book gives the same bytes but for the time in
 * {@code underhand.json}.
 */
final class ArchiveWriter {

    static final String MANIFEST = "underhand.json";
    static final String FORMAT = "underhand-backup";
    static final int FORMAT_VERSION = 1;
    static final String SCHEMA = "schema.json";

    /** In the place of a long text: the name of the file it is in. */
    static final String FILE_OF = "File";

    static final String LOG_HEAD = "uid,what,at\r\n";

    private final ZipOutputStream zip;
    private final ObjectMapper json;

    private ArchiveWriter(ZipOutputStream zip, ObjectMapper json) {
        this.zip = zip;
        this.json = json;
    }

    /**
     * @param made when, in the manifest
     * @throws IOException when it cannot be written to the end
     */
    static void write(Shelves shelves, ObjectMapper json, String made, OutputStream out) throws IOException {
        ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8);
        ArchiveWriter writer = new ArchiveWriter(zip, json);
        ObjectNode manifest = json.createObjectNode()
                .put("format", FORMAT)
                .put("formatVersion", FORMAT_VERSION)
                .put("made", made);
        writer.entry(MANIFEST, json.writerWithDefaultPrettyPrinter().writeValueAsBytes(manifest));
        writer.entry(SCHEMA, new ClassPathResource("backup/" + SCHEMA).getContentAsByteArray());
        for (Shelf shelf : shelves.all()) {
            writer.shelf(shelf, shelves.items(shelf));
        }
        zip.finish();
        zip.flush();
    }

    private void shelf(Shelf shelf, List<Item> items) throws IOException {
        ArrayNode rows = json.createArrayNode();
        StringBuilder log = new StringBuilder(LOG_HEAD);
        for (Item item : items) {
            ObjectNode row =
                    json.createObjectNode().put("uid", item.uid().toString()).put("id", item.id());
            for (Column column : shelf.columns()) {
                String field = column.field();
                if (column.form() == Form.FILE) {
                    String name = shelf.kind() + "/" + fileName(shelf, item) + ".txt";
                    entry(name, item.content().get(field).asText().getBytes(StandardCharsets.UTF_8));
                    row.put(field + FILE_OF, name);
                } else if (column.form() == Form.LOGGED) {
                    if (item.content().hasNonNull(field)) {
                        log.append(item.uid()).append(',').append(field).append(',');
                        log.append(item.content().get(field).asText()).append("\r\n");
                    }
                } else {
                    row.set(field, item.content().get(field));
                }
            }
            rows.add(row);
        }
        entry(shelf.kind() + ".json", json.writerWithDefaultPrettyPrinter().writeValueAsBytes(rows));
        if (shelf.columns().stream().anyMatch(c -> c.form() == Form.LOGGED)) {
            entry(logOf(shelf), log.toString().getBytes(StandardCharsets.UTF_8));
        }
    }

    static String logOf(Shelf shelf) {
        return shelf.kind() + "-log.csv";
    }

    /** A name any system takes, and no other thing has. */
    private static String fileName(Shelf shelf, Item item) {
        String plain = item.label(shelf).replaceAll("[^\\p{L}\\p{N} '-]", "").strip();
        String title = plain.isEmpty()
                ? ""
                : " " + plain.substring(0, Math.min(60, plain.length())).strip();
        return "%05d%s".formatted(item.id(), title);
    }

    private void entry(String name, byte[] bytes) throws IOException {
        ZipEntry entry = new ZipEntry(name);
        entry.setTime(0);
        zip.putNextEntry(entry);
        zip.write(bytes);
        zip.closeEntry();
    }
}
