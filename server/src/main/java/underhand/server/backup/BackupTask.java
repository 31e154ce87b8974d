package underhand.server.backup;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import underhand.server.backup.BackupService.Mode;
import underhand.server.storage.StartupFailure;

/** Writes or puts back a backup from the command line, without serving anything. */
@Component
@ConditionalOnProperty("underhand.task")
public class BackupTask implements ApplicationRunner {

    private static final String OPTION = "--underhand.task=";

    private final BackupService service;
    private final String task;
    private final Path file;

    BackupTask(
            BackupService service, @Value("${underhand.task}") String task, @Value("${underhand.file}") String file) {
        this.service = service;
        this.task = task;
        this.file = Path.of(file).toAbsolutePath();
    }

    /** Whether the application is to do a task and end. */
    public static boolean isAskedFor(String... args) {
        return Arrays.stream(args).anyMatch(a -> a.startsWith(OPTION));
    }

    /** Whether the task puts a backup in the place of the book, so that a damaged one may go. */
    public static boolean isRestoring(String... args) {
        return Arrays.asList(args).contains(OPTION + "restore");
    }

    @Override
    public void run(ApplicationArguments args) {
        try {
            if (task.equals("restore")) {
                restore();
            } else {
                service.write(file);
                System.out.println("The book was written to " + file + ".");
            }
        } catch (BackupException e) {
            throw new StartupFailure(e.getMessage());
        } catch (IOException e) {
            throw new StartupFailure("The file " + file + " cannot be " + (task.equals("restore") ? "read" : "written")
                    + ": " + e.getMessage() + ".");
        }
    }

    private void restore() throws IOException {
        if (!Files.isReadable(file)) {
            throw new StartupFailure("There is no file " + file + ", or it may not be read.");
        }
        RestorePlan plan = service.restore(file, Mode.REPLACE);
        System.out.println("The book is what " + file + " holds.");
        plan.shelves()
                .forEach(s -> System.out.println(s.kind() + ": " + s.added().size() + " added, "
                        + s.changed().size() + " changed, " + s.removed().size() + " removed, " + s.same()
                        + " as before"));
    }
}
