package underhand.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.CyclicBarrier;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Several writers at once over one version: one is stored, the others are told both versions. */
class RaceTest {

    private static final int ROUNDS = Integer.getInteger("race.rounds", 15);

    private static Application application;
    private static Api api;
    private static ExecutorService writers;

    @BeforeAll
    static void start(@TempDir Path data) throws Exception {
        application = Application.startBriefly(data, true);
        api = new Api(application);
        writers = Executors.newCachedThreadPool();
    }

    @AfterAll
    static void stop() {
        writers.shutdownNow();
        application.close();
    }

    /** Does things at the same moment. */
    private static List<Api.Answer> atOnce(List<Callable<Api.Answer>> things) throws Exception {
        CyclicBarrier together = new CyclicBarrier(things.size());
        List<Future<Api.Answer>> answers = new ArrayList<>();
        for (Callable<Api.Answer> thing : things) {
            answers.add(writers.submit(() -> {
                together.await();
                return thing.call();
            }));
        }
        List<Api.Answer> all = new ArrayList<>();
        for (Future<Api.Answer> answer : answers) {
            all.add(answer.get());
        }
        return all;
    }

    private static void assertOneStored(List<Api.Answer> answers) {
        assertEquals(1, answers.stream().filter(a -> a.status() == 200).count(), answers.toString());
        for (Api.Answer answer : answers) {
            if (answer.status() != 200) {
                assertEquals(409, answer.status(), answer.text());
                assertTrue(
                        answer.object().containsKey("yours") && answer.object().containsKey("current"), answer.text());
            }
        }
    }

    @Test
    void writersOfOneSong_oneIsStored() throws Exception {
        for (int count : new int[] {2, 10}) {
            for (int round = 0; round < ROUNDS; round++) {
                Map<String, Object> song = api.addSong("title: Raced\n[G]la");
                List<Callable<Api.Answer>> writes = new ArrayList<>();
                for (int writer = 0; writer < count; writer++) {
                    String source = "title: Raced by " + writer + "\n[D]la";
                    writes.add(() -> api.change(song, source));
                }
                assertOneStored(atOnce(writes));
            }
        }
    }

    @Test
    void writersOfOnePlayerGuitarAndPattern_oneIsStored() throws Exception {
        Map<String, Object> pattern = Map.of("name", "Roll", "metre", "4/4", "steps", "r l m h", "swing", false);
        long made = api.post("/own-patterns", Map.of("pattern", pattern)).number("id");
        api.post("/own-tunings", Map.of("tuning", Map.of("name", "Sluice", "strings", "C2 G2 D3 G3 A3 E4")));
        for (int round = 0; round < ROUNDS; round++) {
            for (String path : List.of("/players", "/guitars", "/own-patterns", "/own-tunings")) {
                Map<String, Object> first = api.get(path).list().stream()
                        .filter(d -> !path.equals("/own-patterns") || ((Number) d.get("id")).longValue() == made)
                        .findFirst()
                        .orElseThrow();
                List<Callable<Api.Answer>> writes = new ArrayList<>();
                for (int writer = 0; writer < 10; writer++) {
                    writes.add(() -> api.send("PUT", path + "/" + ((Number) first.get("id")).longValue(), body(first)));
                }
                List<Api.Answer> answers = atOnce(writes);
                // The same content is no change: every writer of it may be told that it is stored.
                assertTrue(answers.stream().allMatch(a -> a.status() == 200 || a.status() == 409), answers.toString());
            }
        }
    }

    private static Map<String, Object> body(Map<String, Object> document) {
        Map<String, Object> body = new java.util.HashMap<>(document);
        body.remove("id");
        return body;
    }

    @Test
    void deletesChangesAndVersions_atOnce_areNever500() throws Exception {
        for (int round = 0; round < ROUNDS; round++) {
            Map<String, Object> song = api.addSong("title: Going\n[G]la");
            String path = "/songs/" + ((Number) song.get("id")).longValue();
            Callable<Api.Answer> delete = () -> api.send("DELETE", path, null);
            Callable<Api.Answer> change = () -> api.change(song, "[D]la");
            Callable<Api.Answer> keep = () -> api.post(
                    path + "/versions", Map.of("name", "Kept", "source", "[G]la", "decisions", song.get("decisions")));
            for (Api.Answer answer : atOnce(List.of(delete, change, keep, delete, change, keep, keep))) {
                assertTrue(List.of(200, 201, 204, 404, 409).contains(answer.status()), answer.status() + answer.text());
            }
        }
    }

    @Test
    void practisedWhileChanged_isNoConflict() throws IOException {
        Map<String, Object> song = api.addSong("title: Played\n[G]la");
        long id = ((Number) song.get("id")).longValue();
        assertEquals(204, api.post("/songs/" + id + "/practice", null).status());
        assertEquals(200, api.change(song, "[D]la").status());
    }
}
