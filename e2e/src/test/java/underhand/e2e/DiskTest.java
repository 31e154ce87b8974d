package underhand.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A disk that is full, or read-only, refuses writes in words, goes on to be read, and takes writes again when it can. */
class DiskTest {

    /** The database and what is kept free for it fit at first, and soon no more. */
    private static final int MOST_KIB = 22 * 1024;

    private static final int MOST_SONGS = 400;

    @Test
    void fullDisk_refusesWritesAndRecovers(@TempDir Path data) throws Exception {
        try (Application application = Application.startLimited(data, MOST_KIB)) {
            Api api = new Api(application);
            String chart = "title: Long Song\n| C | G |\n" + "la la la la la la la la la la la\n".repeat(2000);
            Api.Answer last = api.post("/songs", Map.of("source", chart));
            int stored = 0;
            while (last.status() == 201 && stored < MOST_SONGS) {
                stored++;
                last = api.post("/songs", Map.of("source", chart));
            }
            assertTrue(stored > 0, "nothing could be stored at all: " + last.text());
            assertEquals(507, last.status(), last.text());
            assertTrue(last.text().contains("The disk is full; nothing was stored"), last.text());

            assertEquals(stored, api.get("/songs").list().size());
            String health = health(application, 503);
            assertTrue(health.contains("DOWN") && health.contains("The disk is full"), health);

            roomAgain(application);
            assertEquals(201, api.post("/songs", Map.of("source", chart)).status());
            assertEquals(stored + 1, api.get("/songs").list().size());
            assertTrue(health(application, 200).contains("UP"));
        }
        try (Application application = Application.startBriefly(data, false)) {
            assertTrue(new Api(application).get("/songs").list().size() > 1, "the book opens after it all");
        }
    }

    @Test
    void readOnlyDirectory_refusesWritesAndRecovers(@TempDir Path data) throws Exception {
        try (Application application = Application.startBoundByPermissions(data)) {
            Api api = new Api(application);
            Map<String, String> song = Map.of("source", "title: Short Song\n| C | G |");
            assertEquals(201, api.post("/songs", song).status());

            setWritable(data, false);
            try {
                Api.Answer refused = api.post("/songs", song);
                assertEquals(507, refused.status(), refused.text());
                assertTrue(refused.text().contains("cannot be written to; nothing was stored"), refused.text());
                assertEquals(1, api.get("/songs").list().size());
                String health = health(application, 503);
                assertTrue(health.contains("DOWN") && health.contains("cannot be written to"), health);
            } finally {
                setWritable(data, true);
            }
            assertEquals(201, api.post("/songs", song).status());
            assertEquals(2, api.get("/songs").list().size());
            assertTrue(health(application, 200).contains("UP"));
        }
    }

    private static void setWritable(Path directory, boolean isWritable) throws IOException {
        Files.setPosixFilePermissions(
                directory, PosixFilePermissions.fromString(isWritable ? "rwx------" : "r-x------"));
    }

    private static void roomAgain(Application application) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(
                        "prlimit", "--pid", Long.toString(application.pid()), "--fsize=unlimited:unlimited")
                .inheritIO()
                .start();
        assertEquals(0, process.waitFor());
    }

    private static String health(Application application, int status) throws IOException, InterruptedException {
        HttpResponse<String> response = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create(application.address() + "/actuator/health"))
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
        assertEquals(status, response.statusCode(), response.body());
        return response.body();
    }
}
