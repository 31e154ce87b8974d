package underhand.e2e;

import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;

/** The packaged application, started on a free port with a data directory of its own. */
final class Application implements AutoCloseable {

    private static final Duration PATIENCE = Duration.ofSeconds(60);

    private final Process process;
    private final int port;
    private final Path log;

    private Application(Process process, int port, Path log) {
        this.process = process;
        this.port = port;
        this.log = log;
    }

    /** As {@code ./underhand} starts it. */
    static Application start(Path data, boolean demo) throws IOException, InterruptedException {
        return start(data, demo, List.of("-XX:+UseG1GC", "-XX:MaxGCPauseMillis=15"));
    }

    /** The same for a short visit: it starts in half the time, and would be slower in the long run. */
    static Application startBriefly(Path data, boolean demo) throws IOException, InterruptedException {
        return start(
                data,
                demo,
                List.of("-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC", "-Dspring.main.lazy-initialization=true"));
    }

    private static Application start(Path data, boolean demo, List<String> flags)
            throws IOException, InterruptedException {
        int port;
        try (ServerSocket socket = new ServerSocket(0)) {
            port = socket.getLocalPort();
        }
        Path log = data.resolve("application.log");
        Files.createDirectories(data);
        List<String> command = new ArrayList<>();
        command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
        command.addAll(flags);
        command.addAll(List.of(
                "-jar",
                System.getProperty("underhand.jar"),
                "--server.port=" + port,
                "--underhand.data=" + data,
                "--underhand.demo=" + demo));
        Process process = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.appendTo(log.toFile()))
                .start();
        Application application = new Application(process, port, log);
        application.awaitReady();
        return application;
    }

    private void awaitReady() throws IOException, InterruptedException {
        HttpRequest request = HttpRequest.newBuilder(URI.create(address() + "/actuator/health/readiness"))
                .timeout(Duration.ofSeconds(2))
                .build();
        HttpClient client = HttpClient.newHttpClient();
        Instant deadline = Instant.now().plus(PATIENCE);
        while (Instant.now().isBefore(deadline) && process.isAlive()) {
            try {
                if (client.send(request, HttpResponse.BodyHandlers.discarding()).statusCode() == 200) {
                    return;
                }
            } catch (IOException notYet) {
                // The port is not open yet.
            }
            Thread.sleep(100);
        }
        process.destroyForcibly();
        throw new IllegalStateException("The application did not start:\n" + Files.readString(log));
    }

    String address() {
        return "http://localhost:" + port;
    }

    @Override
    public void close() {
        process.destroy();
        try {
            if (!process.waitFor(10, TimeUnit.SECONDS)) {
                process.destroyForcibly();
            }
        } catch (InterruptedException e) {
            process.destroyForcibly();
            Thread.currentThread().interrupt();
        }
    }
}
