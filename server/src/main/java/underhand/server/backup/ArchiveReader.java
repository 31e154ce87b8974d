package underhand.server.backup;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import underhand.server.storage.Shelf;
import underhand.server.storage.Shelf.Column;
import underhand.server.storage.Shelf.Form;

/** Reads a backup. What it may hold is bounded, whatever its entries say of their size. */
final class ArchiveReader {

    /** Entries of a backup at most. */
    static final int MOST_ENTRIES = 100_000;

    /** Bytes of all entries together at most, once they are expanded. */
    static final long MOST_BYTES = 1L << 30;

    /** Bytes of one entry at most. */
    static final long MOST_ENTRY_BYTES = 128L << 20;

    private final ZipFile zip;
    private final ObjectMapper json;
    private long read;

    private ArchiveReader(ZipFile zip, ObjectMapper json) {
        this.zip = zip;
        this.json = json;
    }

    /**
     * @return the things of each shelf that the backup has
     * @throws BackupException saying what is wrong with the file
     */
    static Map<Shelf, List<Item>> read(Path file, List<Shelf> shelves, ObjectMapper json) {
        try (ZipFile zip = new ZipFile(file.toFile(), StandardCharsets.UTF_8)) {
            if (zip.size() > MOST_ENTRIES) {
                throw new BackupException(
                        "The file has " + zip.size() + " entries; a backup has at most " + MOST_ENTRIES + ".");
            }
            return new ArchiveReader(zip, json).shelves(shelves);
        } catch (ZipException e) {
            throw new BackupException("This file is no ZIP, or it is not whole: " + e.getMessage() + ".", e);
        } catch (IOException | IllegalArgumentException e) {
            throw new BackupException("The file cannot be read to its end: " + e.getMessage() + ".", e);
        }
    }

    private Map<Shelf, List<Item>> shelves(List<Shelf> shelves) throws IOException {
        manifest();
        Map<Shelf, List<Item>> things = new LinkedHashMap<>();
        for (Shelf shelf : shelves) {
            if (zip.getEntry(shelf.kind() + ".json") != null) {
                things.put(shelf, items(shelf));
            }
        }
        if (things.isEmpty()) {
            throw new BackupException("There is nothing of a book in this file.");
        }
        return things;
    }

    private void manifest() throws IOException {
        if (zip.getEntry(ArchiveWriter.MANIFEST) == null) {
            throw new BackupException(
                    "This is no backup of Underhand: it has no " + ArchiveWriter.MANIFEST + " in it.");
        }
        JsonNode manifest = tree(ArchiveWriter.MANIFEST);
        if (!ArchiveWriter.FORMAT.equals(manifest.path("format").asText())) {
            throw new BackupException(
                    "This is no backup of Underhand: its " + ArchiveWriter.MANIFEST + " says otherwise.");
        }
        if (manifest.path("formatVersion").asInt(0) > ArchiveWriter.FORMAT_VERSION) {
            throw new BackupException("This backup was written by a newer Underhand (format "
                    + manifest.path("formatVersion").asInt() + "; this one reads " + ArchiveWriter.FORMAT_VERSION
                    + "). Put it back with that one.");
        }
    }

    private List<Item> items(Shelf shelf) throws IOException {
        String file = shelf.kind() + ".json";
        JsonNode rows = tree(file);
        if (!rows.isArray()) {
            throw new BackupException(file + " holds no list.");
        }
        Map<UUID, Map<String, String>> log = log(shelf);
        List<Item> items = new ArrayList<>();
        Set<UUID> seen = new HashSet<>();
        for (int number = 0; number < rows.size(); number++) {
            Item item = item(shelf, rows.get(number), file + "[" + number + "]", log);
            if (!seen.add(item.uid())) {
                throw new BackupException(file + "[" + number + "] has the uid of another one.");
            }
            items.add(item);
        }
        return items;
    }

    private Item item(Shelf shelf, JsonNode row, String place, Map<UUID, Map<String, String>> log) throws IOException {
        UUID uid = uid(row.path("uid").asText(), place);
        ObjectNode content = json.createObjectNode();
        for (Column column : shelf.columns()) {
            String field = column.field();
            if (column.form() == Form.FILE) {
                content.put(field, text(row.path(field + ArchiveWriter.FILE_OF).asText(), place));
            } else if (column.form() == Form.LOGGED) {
                content.put(field, log.getOrDefault(uid, Map.of()).get(field));
            } else if (row.has(field)) {
                content.set(field, row.get(field));
            } else {
                throw new BackupException(place + " has no " + field + ".");
            }
        }
        return new Item(uid, row.path("id").asLong(0), content);
    }

    private static UUID uid(String text, String place) {
        try {
            return UUID.fromString(text);
        } catch (IllegalArgumentException e) {
            throw new BackupException(place + " has no uid.", e);
        }
    }

    private String text(String name, String place) throws IOException {
        if (name.isEmpty() || zip.getEntry(name) == null) {
            throw new BackupException(place + " names the file \"" + name + "\", which is not in the backup.");
        }
        return new String(bytes(name), StandardCharsets.UTF_8);
    }

    private Map<UUID, Map<String, String>> log(Shelf shelf) throws IOException {
        Map<UUID, Map<String, String>> log = new HashMap<>();
        String name = ArchiveWriter.logOf(shelf);
        if (zip.getEntry(name) == null) {
            return log;
        }
        String[] lines = new String(bytes(name), StandardCharsets.UTF_8).split("\r?\n");
        for (int line = 1; line < lines.length; line++) {
            String[] cells = lines[line].split(",", -1);
            if (cells.length != 3) {
                throw new BackupException(name + ", line " + (line + 1) + ", has not three cells.");
            }
            log.computeIfAbsent(uid(cells[0], name + ", line " + (line + 1) + ","), u -> new HashMap<>())
                    .put(cells[1], cells[2]);
        }
        return log;
    }

    private JsonNode tree(String name) throws IOException {
        try {
            return json.readTree(bytes(name));
        } catch (JsonProcessingException e) {
            throw new BackupException(
                    name + " is no JSON"
                            + (e.getLocation() == null
                                    ? "."
                                    : ", line " + e.getLocation().getLineNr() + "."),
                    e);
        }
    }

    private byte[] bytes(String name) throws IOException {
        ZipEntry entry = zip.getEntry(name);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (InputStream in = zip.getInputStream(entry)) {
            byte[] buffer = new byte[64 * 1024];
            for (int count = in.read(buffer); count >= 0; count = in.read(buffer)) {
                read += count;
                if (out.size() + count > MOST_ENTRY_BYTES || read > MOST_BYTES) {
                    throw new BackupException("The backup is larger than it may be: at most " + (MOST_BYTES >> 20)
                            + " MiB expanded, " + (MOST_ENTRY_BYTES >> 20) + " MiB in one entry.");
                }
                out.write(buffer, 0, count);
            }
        }
        return out.toByteArray();
    }
}
