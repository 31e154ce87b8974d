package underhand.server.storage;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** What was removed from any shelf waits to be put back, and is forgotten when its time is over. */
@Component
public class RemovedThings {

    /** How long it waits. */
    public static final Duration KEPT = Duration.ofDays(30);

    private final List<Shelf> shelves;
    private final JdbcTemplate jdbc;
    private final Writes writes;

    RemovedThings(List<Shelf> shelves, JdbcTemplate jdbc, Writes writes) {
        // What refers to something goes before it.
        this.shelves = shelves.stream()
                .sorted(Comparator.comparingInt(Shelf::order).reversed())
                .toList();
        this.jdbc = jdbc;
        this.writes = writes;
    }

    @Scheduled(initialDelay = 1, fixedDelay = 24 * 60, timeUnit = TimeUnit.MINUTES)
    void forget() {
        forget(Instant.now().minus(KEPT));
    }

    /** Forgets what was removed before a point of time; where the disk takes nothing it waits for another day. */
    public void forget(Instant before) {
        try {
            writes.in(() -> shelves.forEach(shelf -> forget(shelf, before)));
        } catch (StorageException e) {
            // It is tried again tomorrow.
        }
    }

    private void forget(Shelf shelf, Instant before) {
        shelf.columns().stream()
                .filter(column -> column.field().equals(Shelf.REMOVED))
                .forEach(column -> jdbc.update(
                        "delete from " + shelf.table() + " where " + column.name() + " < ?",
                        before.atOffset(ZoneOffset.UTC)));
    }
}
