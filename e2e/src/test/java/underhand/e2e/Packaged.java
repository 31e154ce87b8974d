package underhand.e2e;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;

/** The packaged application made ready for many starts as {@code ./underhand} does: unpacked, with its classes shared. */
final class Packaged {

    private static List<String> command;

    private Packaged() {}

    /** Options and jar that start it: what stands between {@code java} and the application's own options. */
    static synchronized List<String> options() throws IOException, InterruptedException {
        if (command == null) {
            Path folder = Files.createTempDirectory("underhand-packaged");
            run(List.of(
                    "-Djarmode=tools",
                    "-jar",
                    System.getProperty("underhand.jar"),
                    "extract",
                    "--destination",
                    folder.resolve("app").toString()));
            Path jar;
            try (Stream<Path> files = Files.list(folder.resolve("app"))) {
                jar = files.filter(f -> f.toString().endsWith(".jar"))
                        .findFirst()
                        .orElseThrow();
            }
            Path archive = folder.resolve("app.jsa");
            run(List.of(
                    "-XX:ArchiveClassesAtExit=" + archive,
                    "-Dspring.context.exit=onRefresh",
                    "-jar",
                    jar.toString(),
                    "--underhand.data=" + folder.resolve("training"),
                    "--server.port=0"));
            List<String> options = new ArrayList<>();
            if (Files.exists(archive)) {
                options.add("-XX:SharedArchiveFile=" + archive);
            }
            options.addAll(List.of("-jar", jar.toString()));
            command = List.copyOf(options);
        }
        return command;
    }

    private static void run(List<String> options) throws IOException, InterruptedException {
        List<String> command = new ArrayList<>();
        command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
        command.addAll(options);
        Process process = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start();
        if (!process.waitFor(60, TimeUnit.SECONDS)) {
            process.destroyForcibly();
            throw new IllegalStateException("The application could not be unpacked.");
        }
    }
}
