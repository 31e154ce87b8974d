package underhand.server.backup;

import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Optional;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.springframework.boot.autoconfigure.flyway.FlywayMigrationStrategy;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import underhand.server.storage.DataDirectory;

/** Keeps the book as a script of SQL before its schema is changed: an older application can read that. */
@Component
class MigrationBackups implements FlywayMigrationStrategy {

    private static final DateTimeFormatter STAMP = DateTimeFormatter.ofPattern("yyyyMMdd-HHmmss");

    private final DataDirectory directory;
    private final DataSource source;

    MigrationBackups(DataDirectory directory, DataSource source) {
        this.directory = directory;
        this.source = source;
    }

    @Override
    public void migrate(Flyway flyway) {
        boolean isOld = flyway.info().current() != null && flyway.info().pending().length > 0;
        Optional<Path> backups = isOld ? directory.backups() : Optional.empty();
        backups.ifPresent(directory -> {
            Path script = directory.resolve(
                    "before-schema-" + flyway.info().pending()[0].getVersion() + "-"
                            + LocalDateTime.now().format(STAMP) + ".sql.zip");
            new JdbcTemplate(source)
                    .query("script to '" + script.toString().replace("'", "''") + "' compression zip", row -> {});
        });
        flyway.migrate();
    }
}
