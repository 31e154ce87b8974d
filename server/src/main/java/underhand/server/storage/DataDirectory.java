package underhand.server.storage;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;

/** Where the book lies: the database's file, its backups, and nothing that anybody but the owner may read. */
@Component
public class DataDirectory {

    private static final String FILE_URL = "jdbc:h2:file:";
    private static final String FILE = "underhand.mv.db";
    private static final String BACKUPS = "backups";

    private final Optional<Path> path;

    @Autowired
    DataDirectory(Environment environment) {
        this(
                Path.of(environment.getProperty("underhand.data", "./data")),
                environment.getProperty("spring.datasource.url", ""));
    }

    /** @param url of the database; one that is no file has no directory here */
    DataDirectory(Path path, String url) {
        this.path = url.startsWith(FILE_URL) ? Optional.of(path.toAbsolutePath().normalize()) : Optional.empty();
    }

    /** Empty when the book is kept in memory or by a database server. */
    public Optional<Path> path() {
        return path;
    }

    /** Where backups are kept, made when it is not there; empty when there is no directory. */
    public Optional<Path> backups() {
        return path.map(p -> {
            try {
                Path backups = Files.createDirectories(p.resolve(BACKUPS));
                ownersOnly(backups, "rwx------");
                return backups;
            } catch (IOException e) {
                throw new UncheckedIOException("the directory of the backups cannot be made", e);
            }
        });
    }

    /** The database's file. */
    Optional<Path> file() {
        return path.map(p -> p.resolve(FILE));
    }

    /** Bytes of the database; 0 when there is none yet. */
    long storedBytes() {
        try {
            return file().filter(Files::exists).map(DataDirectory::size).orElse(0L);
        } catch (UncheckedIOException gone) {
            return 0;
        }
    }

    private static long size(Path file) {
        try {
            return Files.size(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Lets nobody but the owner at a file, where the file system knows owners. */
    public static void ownersOnly(Path file, String permissions) throws IOException {
        if (Files.getFileStore(file).supportsFileAttributeView("posix")) {
            Files.setPosixFilePermissions(file, PosixFilePermissions.fromString(permissions));
        }
    }
}
