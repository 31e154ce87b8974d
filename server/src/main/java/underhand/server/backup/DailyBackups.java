package underhand.server.backup;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import underhand.server.storage.DataDirectory;
import underhand.server.storage.Room;

/** Keeps the book of the last seven days in the data directory: a backup at each start, and one each day while it runs. */
@Component
class DailyBackups {

    static final String START = "underhand-";

    private static final Logger LOG = LoggerFactory.getLogger(DailyBackups.class);
    private static final int KEPT = 7;

    /** Bytes all daily backups may take together; the newest stays whatever it takes. */
    private static final long MOST_BYTES = 1L << 30;

    private final BackupService service;
    private final DataDirectory directory;
    private final Room room;
    private LocalDate last = LocalDate.MIN;

    DailyBackups(BackupService service, DataDirectory directory, Room room) {
        this.service = service;
        this.directory = directory;
        this.room = room;
    }

    static String name(LocalDate day) {
        return START + day + ".zip";
    }

    /** Looks every ten minutes, the first time shortly after the start, whether today's backup is still to be made. */
    @Scheduled(initialDelay = 2, fixedDelay = 600, timeUnit = TimeUnit.SECONDS)
    synchronized void daily() {
        LocalDate today = LocalDate.now();
        if (!last.equals(today)
                && directory.path().isPresent()
                && room.missing().isEmpty()) {
            try {
                if (!service.isEmpty()) {
                    Path backups = directory.backups().orElseThrow();
                    service.write(backups.resolve(name(today)));
                    forgetOld(backups);
                }
                last = today;
            } catch (IOException | RuntimeException e) {
                LOG.warn("Today's backup could not be made: {}", e.getMessage());
            }
        }
    }

    private static void forgetOld(Path backups) throws IOException {
        List<Path> files = BackupService.files(backups, START);
        long bytes = 0;
        for (int i = files.size() - 1; i >= 0; i--) {
            bytes += Files.size(files.get(i));
            boolean isNewest = i == files.size() - 1;
            if (!isNewest && (files.size() - i > KEPT || bytes > MOST_BYTES)) {
                Files.delete(files.get(i));
            }
        }
    }
}
