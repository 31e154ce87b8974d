package underhand.server.storage;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.springframework.core.env.Environment;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;

/**
 * Looks at the book before anything is built on it, so that what is wrong with it is said in one sentence. A damaged book is
 * copied, never changed; one that a newer application wrote is only looked at.
 */
public final class BookOpening {

    private static final int IN_USE = 90020;

    /** The database writes two blocks of 4 KiB before anything else. */
    private static final long LEAST_BYTES = 8192;

    private static final DateTimeFormatter STAMP = DateTimeFormatter.ofPattern("yyyyMMdd-HHmmss");
    private static final Pattern MIGRATION = Pattern.compile("V(\\d+)__.*\\.sql");

    private final DataDirectory directory;
    private final Path path;
    private final Path file;
    private final boolean settingAside;

    private BookOpening(DataDirectory directory, boolean settingAside) {
        this.directory = directory;
        this.path = directory.path().orElseThrow();
        this.file = directory.file().orElseThrow();
        this.settingAside = settingAside;
    }

    /**
     * @param settingAside whether a damaged book is moved out of the way, because a backup is about to take its place
     * @throws StartupFailure saying why the book cannot be opened
     */
    public static void check(Environment environment, boolean settingAside) {
        DataDirectory directory = new DataDirectory(environment);
        if (directory.path().isPresent()) {
            new BookOpening(directory, settingAside)
                    .check(
                            environment.getRequiredProperty("spring.datasource.url"),
                            environment.getProperty("spring.datasource.username", "sa"),
                            environment.getProperty("spring.datasource.password", ""));
        }
    }

    private void check(String url, String user, String password) {
        writable();
        boolean isNew = !Files.exists(file);
        try {
            if (!isNew && isCutOff()) {
                damaged(null);
            }
            look(url, user, password);
            if (Files.exists(file)) {
                DataDirectory.ownersOnly(file, "rw-------");
            }
        } catch (IOException e) {
            throw unusable(e);
        }
    }

    private boolean isCutOff() throws IOException {
        boolean isBlank = Files.size(file) == 0 && newestBackup().isEmpty();
        return !isBlank && (Files.size(file) < LEAST_BYTES || StoreHeader.lacksItsEnd(file));
    }

    private void writable() {
        try {
            boolean isNew = !Files.exists(path);
            Files.createDirectories(path);
            if (isNew) {
                DataDirectory.ownersOnly(path, "rwx------");
            }
            Files.delete(Files.createTempFile(path, "opening", ".probe"));
        } catch (IOException e) {
            throw unusable(e);
        }
        if (Files.exists(file) && !Files.isWritable(file)) {
            throw new StartupFailure("The book in " + path + " may only be read, not written to. Make "
                    + file.getFileName() + " writable, or choose another directory with --data.");
        }
    }

    private StartupFailure unusable(IOException cause) {
        boolean isFull = StorageException.reasonOf(cause).equals(Optional.of(StorageException.Reason.FULL));
        return new StartupFailure(
                isFull
                        ? "The disk of " + path + " is full. Make room on it, then start again."
                        : "The directory " + path
                                + " cannot be written to. Make it writable, or choose another with --data.",
                cause);
    }

    private void look(String url, String user, String password) throws IOException {
        try (Connection connection = DriverManager.getConnection(url, user, password);
                Statement statement = connection.createStatement()) {
            newest(statement);
            readAll(connection);
        } catch (SQLException e) {
            if (e.getErrorCode() == IN_USE) {
                throw new StartupFailure("The book in " + path
                        + " is in use: Underhand runs with it already. Stop that one first, or choose another directory"
                        + " with --data.");
            }
            if (StorageException.reasonOf(e).isPresent()) {
                throw unusable(
                        new IOException(StorageException.reasonOf(e).get().words(), e));
            }
            damaged(e);
        } catch (StartupFailure e) {
            throw e;
        } catch (RuntimeException e) {
            damaged(e);
        }
    }

    /** Refuses a book whose schema is newer than any this application knows. */
    private void newest(Statement statement) throws SQLException, IOException {
        try (ResultSet tables = statement.executeQuery(
                "select count(*) from information_schema.tables where table_name = 'flyway_schema_history'")) {
            tables.next();
            if (tables.getInt(1) == 0) {
                return;
            }
        }
        try (ResultSet versions = statement.executeQuery(
                "select max(cast(\"version\" as integer)) from \"flyway_schema_history\" where \"success\"")) {
            versions.next();
            int known = newestKnown();
            if (versions.getInt(1) > known) {
                throw new StartupFailure("The book in " + path + " was written by a newer Underhand (schema "
                        + versions.getInt(1) + "; this one knows " + known
                        + "). Nothing was changed. Start it with the newer one.");
            }
        }
    }

    private static int newestKnown() throws IOException {
        Resource[] migrations = new PathMatchingResourcePatternResolver().getResources("classpath:db/migration/V*.sql");
        return Arrays.stream(migrations)
                .map(m -> MIGRATION.matcher(String.valueOf(m.getFilename())))
                .filter(Matcher::matches)
                .mapToInt(m -> Integer.parseInt(m.group(1)))
                .max()
                .orElseThrow();
    }

    /** Reads every row once: a page that was lost shows only when it is looked at. */
    private static void readAll(Connection connection) throws SQLException {
        List<String> tables = new ArrayList<>();
        try (Statement statement = connection.createStatement();
                ResultSet names = statement.executeQuery(
                        "select table_name from information_schema.tables where table_schema = 'PUBLIC'"
                                + " and table_type = 'BASE TABLE'")) {
            while (names.next()) {
                tables.add(names.getString(1));
            }
        }
        for (String table : tables) {
            try (Statement statement = connection.createStatement();
                    ResultSet rows = statement.executeQuery("select * from \"" + table + "\"")) {
                int columns = rows.getMetaData().getColumnCount();
                while (rows.next()) {
                    for (int column = 1; column <= columns; column++) {
                        rows.getString(column);
                    }
                }
            }
        }
    }

    private void damaged(Exception cause) throws IOException {
        Path copy = copyKept();
        if (settingAside) {
            Files.deleteIfExists(file);
            return;
        }
        String last = newestBackup()
                .map(backup -> " To go on with the last backup, run: ./underhand restore " + backup + " --data " + path)
                .orElse(" There is no backup of it.");
        throw new StartupFailure(
                "The book in " + path + " is damaged. A copy of it was kept as " + copy.getFileName() + "." + last,
                cause);
    }

    /** The copy of the damaged book; the one that is there already when this very book was copied before. */
    private Path copyKept() throws IOException {
        try (Stream<Path> files = Files.list(path)) {
            for (Path before : files.filter(f -> f.getFileName().toString().startsWith("damaged-"))
                    .toList()) {
                if (Files.mismatch(before, file) < 0) {
                    return before;
                }
            }
        }
        Path copy = path.resolve("damaged-" + LocalDateTime.now().format(STAMP) + ".mv.db");
        Files.copy(file, copy, StandardCopyOption.COPY_ATTRIBUTES);
        return copy;
    }

    private Optional<Path> newestBackup() throws IOException {
        Path backups = path.resolve("backups");
        if (!Files.isDirectory(backups)) {
            return Optional.empty();
        }
        try (Stream<Path> files = Files.list(backups)) {
            return files.filter(f -> f.getFileName().toString().matches("underhand-\\d{4}-\\d{2}-\\d{2}\\.zip"))
                    .max(Comparator.comparing(f -> f.getFileName().toString()));
        }
    }
}
