package underhand.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * What the application acknowledged is there after it was killed while it wrote. {@code ./underhand crash} runs thirty
 * rounds; {@code docs/trust.md} has their figures.
 */
class CrashTest {

    private static final int ROUNDS = Integer.getInteger("crash.rounds", 3);
    private static final int WRITERS = 4;

    /** What every writer last got an acknowledgement for, by what it wrote. */
    private final Map<String, String> acknowledged = new ConcurrentHashMap<>();

    private final AtomicInteger count = new AtomicInteger();

    @Test
    void acknowledgedWrites_afterKills_areAllThere(@TempDir Path data) throws Exception {
        Random random = new Random(20261127);
        int lost = 0;
        for (int round = 0; round < ROUNDS; round++) {
            try (Application application = Application.startBriefly(data, false)) {
                lost += missing(new Api(application));
                write(application, round, count.get() + 25 + random.nextInt(100));
            }
        }
        try (Application application = Application.startBriefly(data, false)) {
            lost += missing(new Api(application));
        }
        System.out.printf("crash: %d rounds, %d writes acknowledged, %d lost%n", ROUNDS, count.get(), lost);
        assertEquals(0, lost);
    }

    /** Several writers at once, until so many writes are acknowledged; then the process is killed under them. */
    private void write(Application application, int round, int enough) throws InterruptedException {
        ExecutorService writers = Executors.newFixedThreadPool(WRITERS);
        for (int writer = 0; writer < WRITERS; writer++) {
            int number = writer;
            writers.execute(() -> writeOn(new Api(application), round + "." + number));
        }
        long patience = System.nanoTime() + TimeUnit.MINUTES.toNanos(1);
        while (count.get() < enough) {
            assertTrue(
                    System.nanoTime() < patience, "after a minute no more than " + count + " writes are acknowledged");
            Thread.sleep(5);
        }
        application.kill();
        writers.shutdown();
        assertTrue(writers.awaitTermination(30, TimeUnit.SECONDS), "a writer hangs");
    }

    /** Songs, decisions, versions, players: until nobody answers any more. */
    private void writeOn(Api api, String who) {
        try {
            for (int number = 0; ; number++) {
                String title = "Song " + who + "." + number;
                Map<String, Object> song = api.addSong("title: " + title + "\n[G]a [D]b");
                String path = "/songs/" + ((Number) song.get("id")).longValue();
                note(path, title);
                Api.Answer changed = api.change(song, "title: " + title + " again\n[C]a");
                if (changed.status() == 200) {
                    note(path, title + " again");
                }
                Api.Answer kept = api.post(
                        path + "/versions",
                        Map.of("name", title, "source", "[C]a", "decisions", song.get("decisions")));
                if (kept.status() == 201) {
                    note(path + "/versions", title);
                }
                Api.Answer player = api.post("/players", Map.of("limits", limits(title)));
                if (player.status() == 201) {
                    note("/players#" + player.number("id"), title);
                }
            }
        } catch (IOException killed) {
            // What was not answered may be there or not.
        }
    }

    private static Map<String, Object> limits(String name) {
        return Map.of(
                "name",
                name,
                "rung",
                2,
                "comfortableMm",
                90,
                "widestMm",
                120,
                "thumb",
                false,
                "changeFactor",
                1,
                "leftHanded",
                false);
    }

    private void note(String path, String wanted) {
        acknowledged.put(path, wanted);
        count.incrementAndGet();
    }

    /** Of what was acknowledged, how much is not there as it was. A later change that was not answered is no loss. */
    private int missing(Api api) throws IOException {
        String players = api.get("/players").text();
        int missing = 0;
        for (Map.Entry<String, String> write : acknowledged.entrySet()) {
            String there = write.getKey().startsWith("/players#")
                    ? players
                    : api.get(write.getKey()).text();
            if (!there.contains(write.getValue())) {
                System.out.println("lost: " + write + " is " + there);
                missing++;
            }
        }
        return missing;
    }
}
