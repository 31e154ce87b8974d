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

    private static final List<String> BRIEFLY =
            List.of("-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC", "-Dspring.main.lazy-initialization=true");

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
        return start(data, demo, BRIEFLY);
    }

    /** The same where no file may grow past some KiB: to its writers that is a full disk. */
    static Application startLimited(Path data, int mostKib) throws IOException, InterruptedException {
        return start(
                data, List.of("bash", "-c", "ulimit -S -f " + mostKib + "; exec \"$@\"", "limited"), false, BRIEFLY);
    }

    /** The same where a directory's permissions bind it even when root starts it. */
    static Application startBoundByPermissions(Path data) throws IOException, InterruptedException {
        boolean isRoot = System.getProperty("user.name").equals("root");
        String overriding = "-dac_override";
        List<String> before =
                isRoot ? List.of("setpriv", "--bounding-set", overriding, "--inh-caps", overriding) : List.of();
        return start(data, before, false, BRIEFLY);
    }

    private static Application start(Path data, boolean demo, List<String> flags)
            throws IOException, InterruptedException {
        return start(data, List.of(), demo, flags);
    }

    /** What the application says, and its exit status, when it does not serve: after a task, or when it cannot start. */
    record Ended(int status, String said) {}

    /** Runs the application to its end. */
    static Ended run(Path data, String... options) throws IOException, InterruptedException {
        List<String> command = command(List.of(), BRIEFLY, 0, data);
        command.addAll(List.of(options));
        Path log = Files.createTempFile("application", ".log");
        Process process = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(log.toFile())
                .start();
        if (!process.waitFor(PATIENCE.toSeconds(), TimeUnit.SECONDS)) {
            process.destroyForcibly();
            throw new IllegalStateException("The application did not end:\n" + Files.readString(log));
        }
        String said = Files.readString(log);
        Files.delete(log);
        return new Ended(process.exitValue(), said);
    }

    private static List<String> command(List<String> before, List<String> flags, int port, Path data)
            throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(before);
        command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
        command.addAll(flags);
        command.addAll(Packaged.options());
        command.addAll(List.of("--server.port=" + port, "--underhand.data=" + data));
        return command;
    }

    /** One that was stopped, started anew where it was, for a short visit. */
    Application startAgain() throws IOException, InterruptedException {
        return start(port, log.getParent(), List.of(), false, BRIEFLY);
    }

    private static Application start(Path data, List<String> before, boolean demo, List<String> flags)
            throws IOException, InterruptedException {
        try (ServerSocket socket = new ServerSocket(0)) {
            int port = socket.getLocalPort();
            socket.close();
            return start(port, data, before, demo, flags);
        }
    }

    private static Application start(int port, Path data, List<String> before, boolean demo, List<String> flags)
            throws IOException, InterruptedException {
        Path log = data.resolve("application.log");
        Files.createDirectories(data);
        List<String> command = command(before, flags, port, data);
        command.add("--underhand.demo=" + demo);
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

    /** Ends it at once, as a failing machine would. */
    void kill() throws InterruptedException {
        process.destroyForcibly();
        process.waitFor();
    }

    long pid() {
        return process.pid();
    }

    int port() {
        return port;
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
