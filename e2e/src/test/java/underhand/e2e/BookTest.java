package underhand.e2e;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A book taken away, put back elsewhere, damaged and put back again: each time it is the same book. */
class BookTest {

    @Test
    void book_backedUpRestoredAndDamaged_isTheSame(@TempDir Path data, @TempDir Path other) throws Exception {
        Map<String, String> book;
        try (Application application = Application.startBriefly(data, true)) {
            assertSaid(Application.run(data), "is in use", "--data");
            book = Archive.contents(filled(new Api(application)));
        }
        assertTrue(book.get("songs-log.csv").contains("practisedAt"), "the log is in it");
        Path file = other.resolve("book.zip");
        assertEquals(book, written(data, file));

        Path empty = other.resolve("data");
        assertDone(Application.run(empty, "--underhand.task=restore", "--underhand.file=" + file));
        assertEquals(book, written(empty, other.resolve("again.zip")));

        cutTheEndOff(data.resolve("underhand.mv.db"));
        byte[] damaged = Files.readAllBytes(data.resolve("underhand.mv.db"));
        Path daily = Files.createDirectories(data.resolve("backups")).resolve("underhand-2126-01-31.zip");
        Files.copy(file, daily);
        assertSaid(Application.run(data), "is damaged", "damaged-", "./underhand restore " + daily);
        assertDone(Application.run(data, "--underhand.task=restore", "--underhand.file=" + daily));
        assertEquals(book, written(data, other.resolve("third.zip")));
        assertArrayEquals(damaged, Files.readAllBytes(copy(data)), "the copy of the damaged book");
    }

    /** A book with something of everything, as a backup. */
    private static byte[] filled(Api api) throws IOException {
        Map<String, Object> song = api.get("/songs/1").object();
        assertEquals(204, api.post("/songs/1/practice", null).status());
        @SuppressWarnings("unchecked")
        Map<String, Object> decisions = new HashMap<>((Map<String, Object>) song.get("decisions"));
        decisions.put("playerId", 2);
        Map<String, Object> version = Map.of("name", "As it is", "source", song.get("source"), "decisions", decisions);
        assertEquals(201, api.post("/songs/1/versions", version).status());
        Map<String, Object> pattern = Map.of("name", "Roll", "metre", "4/4", "steps", "r l m h", "swing", false);
        assertEquals(201, api.post("/own-patterns", Map.of("pattern", pattern)).status());
        Map<String, Object> tuning = Map.of("name", "Sluice", "strings", "C2 G2 D3 G3 A3 E4");
        assertEquals(201, api.post("/own-tunings", Map.of("tuning", tuning)).status());
        assertEquals(204, api.send("DELETE", "/songs/3", null).status());
        return api.get("/backup").body();
    }

    private static Map<String, String> written(Path data, Path file) throws IOException, InterruptedException {
        assertDone(Application.run(data, "--underhand.task=backup", "--underhand.file=" + file));
        return Archive.contents(Files.readAllBytes(file));
    }

    private static void cutTheEndOff(Path book) throws IOException {
        byte[] whole = Files.readAllBytes(book);
        Files.write(book, Arrays.copyOf(whole, whole.length / 2));
    }

    private static Path copy(Path data) throws IOException {
        try (Stream<Path> files = Files.list(data)) {
            return files.filter(f -> f.getFileName().toString().startsWith("damaged-"))
                    .findFirst()
                    .orElseThrow();
        }
    }

    private static void assertDone(Application.Ended ended) {
        assertEquals(0, ended.status(), ended.said());
    }

    private static void assertSaid(Application.Ended ended, String... words) {
        assertEquals(1, ended.status(), ended.said());
        assertEquals(1, ended.said().strip().lines().count(), ended.said());
        List.of(words).forEach(word -> assertTrue(ended.said().contains(word), ended.said()));
    }
}
