package underhand.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.io.OutputStream;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.json.Json;

/** Heavy planning keeps nobody else waiting, and stops when nobody waits for it. */
class PlanningTest {

    private static final String ENDINGS = "|: A | B |1. C :|2. D :|3. E :| ".repeat(100);
    private static final String[] ROOTS = {"C", "Db", "D", "Eb", "E", "F", "F#", "G", "Ab", "A", "Bb", "B"};
    private static final String[] TYPES = {"", "m", "7", "maj7", "m7", "m7b5", "9", "6", "sus4", "13"};

    /** The aim is a second; a machine that runs the other tests too gets three. */
    private static final double MOST_SECONDS = 3;

    private static Application application;
    private static Api api;

    @BeforeAll
    static void start(@TempDir Path data) throws Exception {
        application = Application.start(data, false);
        api = new Api(application);
    }

    @AfterAll
    static void stop() {
        application.close();
    }

    private static String varied(int bars, long seed) {
        Random random = new Random(seed);
        StringBuilder text = new StringBuilder();
        for (int bar = 0; bar < bars; bar++) {
            text.append("| ").append(ROOTS[random.nextInt(ROOTS.length)]);
            text.append(TYPES[random.nextInt(TYPES.length)]).append(bar % 8 == 7 ? " |\n" : " ");
        }
        return text.toString();
    }

    private static Map<String, Object> song(String source, int rung) {
        return Map.of("song", Map.of("chart", Map.of("source", source), "rung", rung));
    }

    @Test
    void smallParts_besideTheWorstCharts_getThrough() throws Exception {
        for (int warm = 0; warm < 20; warm++) {
            assertEquals(
                    200,
                    api.post("/parts/preview", song(varied(16, warm), 1 + warm % 5))
                            .status());
        }
        AtomicBoolean stop = new AtomicBoolean();
        AtomicInteger finished = new AtomicInteger();
        ExecutorService heavy = Executors.newFixedThreadPool(2);
        for (String worst : List.of(ENDINGS, varied(1000, 77))) {
            heavy.submit(() -> {
                for (int i = 0; !stop.get(); i++) {
                    assertEquals(
                            200,
                            api.post("/parts/preview", song(worst + "| C | ".repeat(i), 5))
                                    .status());
                    finished.incrementAndGet();
                }
                return null;
            });
        }
        List<Double> seconds = new ArrayList<>();
        for (int i = 0; i < 30; i++) {
            long start = System.nanoTime();
            Api.Answer part = api.post("/parts/preview", song(varied(16, 1000 + i), 1 + i % 5));
            seconds.add((System.nanoTime() - start) / 1e9);
            assertEquals(200, part.status(), part.text());
        }
        stop.set(true);
        heavy.shutdown();
        assertTrue(heavy.awaitTermination(60, TimeUnit.SECONDS));
        seconds.sort(null);
        double p95 = seconds.get((int) Math.ceil(0.95 * seconds.size()) - 1);
        System.out.printf(
                "parts of 16 bars beside the two worst charts: median %.2f s, 95th percentile %.2f s; %d heavy ones done%n",
                seconds.get(seconds.size() / 2), p95, finished.get());
        assertTrue(p95 < MOST_SECONDS, "95th percentile " + p95 + " s");
        assertTrue(finished.get() > 0, "heavy work is done too");
    }

    @Test
    void largeSong_isCutTheSameWayAgain_andSaysSo() throws Exception {
        Map<String, Object> body = Map.of("chart", Map.of("source", varied(600, 5)), "rung", 5);
        Api.Answer first = api.post("/arrangements/preview?alternatives=0", body);
        Api.Answer again = api.post("/arrangements/preview?alternatives=0", body);
        assertEquals(200, first.status());
        assertEquals(first.text(), again.text());
        @SuppressWarnings("unchecked")
        Map<String, Object> budget = (Map<String, Object>) first.object().get("budget");
        assertTrue(((Number) budget.get("bound")).doubleValue() > 0);
        assertTrue(!((List<?>) budget.get("cut")).isEmpty());
    }

    /** After its asker has left, work ends by itself: the two workers are free for the next. */
    @Test
    void heavyWork_whoseAskerLeft_endsWithinTwoSeconds() throws Exception {
        for (int i = 0; i < 6; i++) {
            leave(new Json().toJson(song(varied(1900, 100 + i), 5)));
        }
        long start = System.nanoTime();
        Api.Answer next = api.post("/parts/preview", song("| C | G |\n".repeat(100), 2));
        double seconds = (System.nanoTime() - start) / 1e9;
        System.out.printf("a large part after six that were left: %.2f s%n", seconds);
        assertEquals(200, next.status());
        assertTrue(seconds < 6, "waited " + seconds + " s for work that nobody wants");
    }

    /** Asks for a part and hangs up. */
    private static void leave(String body) throws IOException, InterruptedException {
        byte[] bytes = body.getBytes(StandardCharsets.UTF_8);
        try (Socket socket = new Socket("localhost", application.port())) {
            OutputStream out = socket.getOutputStream();
            out.write(("POST /api/v1/parts/preview HTTP/1.1\r\nHost: localhost:" + application.port()
                            + "\r\nContent-Type: application/json\r\nContent-Length: " + bytes.length + "\r\n\r\n")
                    .getBytes(StandardCharsets.US_ASCII));
            out.write(bytes);
            out.flush();
            Thread.sleep(100);
        }
    }
}
