package underhand.bench;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Users at a running application on this machine, each of whom does something, looks at it for one to three seconds, and does
 * the next thing. Usage: {@code ./underhand load}.
 */
public final class Load {

    private static final int USERS = Integer.getInteger("load.users", 50);
    private static final int SECONDS = Integer.getInteger("load.seconds", 120);
    private static final Duration TIMEOUT = Duration.ofSeconds(30);
    private static final String[] ROOTS = {"C", "Db", "D", "Eb", "E", "F", "F#", "G", "Ab", "A", "Bb", "B"};
    private static final String[] TYPES = {"", "m", "7", "maj7", "m7", "6", "sus4", "9"};
    private static final Pattern SONG = Pattern.compile(
            "\\{\"id\":(\\d+),\"version\":(\\d+).*\"decisions\":(\\{.*}),\"changedAt\"", Pattern.DOTALL);

    private final String address;
    private final Map<String, ConcurrentLinkedQueue<Double>> times = new ConcurrentHashMap<>();
    private final AtomicInteger errors = new AtomicInteger();
    private final AtomicInteger timeouts = new AtomicInteger();

    private Load(String address) {
        this.address = address + "/api/v1";
    }

    /** @param args address of the application and its process number */
    public static void main(String[] args) throws InterruptedException, IOException {
        new Load(args[0]).run(args.length > 1 ? Path.of("/proc", args[1], "status") : null);
    }

    private void run(Path status) throws InterruptedException, IOException {
        CountDownLatch done = new CountDownLatch(USERS);
        long until = System.nanoTime() + SECONDS * 1_000_000_000L;
        for (int user = 0; user < USERS; user++) {
            int number = user;
            new Thread(() -> {
                        use(number, until);
                        done.countDown();
                    })
                    .start();
        }
        done.await();
        System.out.println("| what | asked | median s | 95th percentile s | longest s |");
        System.out.println("|---|---|---|---|---|");
        List<Double> all = new ArrayList<>();
        new TreeMap<>(times).forEach((what, seconds) -> {
            row(what, new ArrayList<>(seconds));
            all.addAll(seconds);
        });
        row("all", all);
        System.out.printf(
                "%d users, %d s: %d timeouts, %d server errors%n", USERS, SECONDS, timeouts.get(), errors.get());
        if (status != null && Files.exists(status)) {
            for (String line : Files.readAllLines(status)) {
                if (line.startsWith("VmRSS") || line.startsWith("VmHWM")) {
                    System.out.println(line);
                }
            }
        }
    }

    private static void row(String what, List<Double> seconds) {
        List<Double> sorted = seconds.stream().sorted().toList();
        System.out.printf(
                Locale.ROOT,
                "| %s | %d | %.2f | %.2f | %.2f |%n",
                what,
                sorted.size(),
                sorted.get(sorted.size() / 2),
                sorted.get((int) Math.ceil(0.95 * sorted.size()) - 1),
                sorted.get(sorted.size() - 1));
    }

    /** One user: six turns of a dial in ten, two saves, two sheets or files. */
    private void use(int number, long until) {
        Random random = new Random(1000L + number);
        HttpClient client =
                HttpClient.newBuilder().version(HttpClient.Version.HTTP_1_1).build();
        String chart = chart(random);
        try {
            Thread.sleep(random.nextInt(3000));
            while (System.nanoTime() < until) {
                int what = random.nextInt(10);
                if (what < 6) {
                    chart = random.nextInt(3) == 0 ? chart(random) : chart;
                    ask(
                            client,
                            number,
                            "dial turned",
                            "/arrangements/preview?alternatives=0&capos=asked",
                            body(chart, random));
                } else if (what < 8) {
                    save(client, number, chart);
                } else if (what < 9) {
                    ask(client, number, "sheet", "/parts/preview", "{\"song\":" + body(chart, random) + "}");
                } else {
                    String format = random.nextBoolean() ? "pdf" : "musicxml";
                    ask(
                            client,
                            number,
                            "file",
                            "/files",
                            "{\"format\":\"" + format + "\",\"song\":" + body(chart, random) + "}");
                }
                Thread.sleep(1000 + random.nextInt(2000));
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private void save(HttpClient client, int number, String chart) throws InterruptedException {
        String made = ask(client, number, "song added", "/songs", "{\"source\":" + quoted(chart) + "}");
        Matcher song = SONG.matcher(made);
        if (song.find()) {
            send(
                    client,
                    number,
                    "song saved",
                    "PUT",
                    "/songs/" + song.group(1),
                    "{\"version\":" + song.group(2) + ",\"source\":" + quoted(chart + "\n| C |") + ",\"decisions\":"
                            + song.group(3) + "}");
        }
    }

    private String ask(HttpClient client, int number, String what, String path, String body)
            throws InterruptedException {
        return send(client, number, what, "POST", path, body);
    }

    private String send(HttpClient client, int number, String what, String method, String path, String body)
            throws InterruptedException {
        HttpRequest request = HttpRequest.newBuilder(URI.create(address + path))
                .timeout(TIMEOUT)
                .header("Content-Type", "application/json")
                .header("X-Client", "user " + number)
                .method(method, HttpRequest.BodyPublishers.ofString(body))
                .build();
        long start = System.nanoTime();
        try {
            HttpResponse<byte[]> response = client.send(request, HttpResponse.BodyHandlers.ofByteArray());
            if (response.statusCode() >= 500) {
                errors.incrementAndGet();
            }
            return new String(response.body(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            timeouts.incrementAndGet();
            return "";
        } finally {
            times.computeIfAbsent(what, w -> new ConcurrentLinkedQueue<>()).add((System.nanoTime() - start) / 1e9);
        }
    }

    private static String body(String chart, Random random) {
        return "{\"chart\":{\"source\":" + quoted(chart) + "},\"rung\":" + (1 + random.nextInt(5)) + ",\"capo\":"
                + random.nextInt(6) + ",\"tempo\":" + (60 + random.nextInt(100)) + "}";
    }

    /** Sixteen to thirty-two bars of six chords. */
    private static String chart(Random random) {
        List<String> chords = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            chords.add(ROOTS[random.nextInt(ROOTS.length)] + TYPES[random.nextInt(TYPES.length)]);
        }
        StringBuilder text = new StringBuilder("title: Load\n");
        for (int line = 4 + random.nextInt(5); line > 0; line--) {
            for (int bar = 0; bar < 4; bar++) {
                text.append("| ")
                        .append(chords.get(random.nextInt(chords.size())))
                        .append(' ');
            }
            text.append("|\n");
        }
        return text.toString();
    }

    private static String quoted(String text) {
        return '"' + text.replace("\\", "\\\\").replace("\"", "\\\"").replace("\n", "\\n") + '"';
    }
}
