package underhand.server.backup;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import underhand.server.backup.RestorePlan.ShelfPlan;
import underhand.server.storage.DataDirectory;
import underhand.server.storage.Shelf;
import underhand.server.storage.Writes;

/**
 * Writes the whole book into a file and puts such a file back. Before anything is put back the book as it is goes into a file
 * too, by which it can be undone.
 */
@Service
class BackupService {

    enum Mode {
        REPLACE,
        MERGE
    }

    private static final int UNDOS_KEPT = 3;
    private static final String UNDO = "before-restore-";
    private static final DateTimeFormatter STAMP = DateTimeFormatter.ofPattern("yyyyMMdd-HHmmss-SSS");

    private final Shelves shelves;
    private final ObjectMapper json;
    private final Writes writes;
    private final TransactionTemplate reading;
    private final DataDirectory directory;

    BackupService(
            Shelves shelves,
            ObjectMapper json,
            Writes writes,
            PlatformTransactionManager manager,
            DataDirectory directory) {
        this.shelves = shelves;
        this.json = json;
        this.writes = writes;
        this.reading = new TransactionTemplate(manager);
        this.reading.setReadOnly(true);
        this.reading.setIsolationLevel(TransactionTemplate.ISOLATION_REPEATABLE_READ);
        this.directory = directory;
    }

    /** Writes the book as it is now; who changes it meanwhile does not show. */
    void write(OutputStream out) throws IOException {
        try {
            reading.executeWithoutResult(status -> {
                try {
                    ArchiveWriter.write(shelves, json, Instant.now().toString(), out);
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                }
            });
        } catch (UncheckedIOException e) {
            throw e.getCause();
        }
    }

    /** The same into a file that is there whole or not at all. */
    void write(Path file) throws IOException {
        Path part = file.resolveSibling(file.getFileName() + ".part");
        try {
            try (OutputStream out = Files.newOutputStream(part)) {
                DataDirectory.ownersOnly(part, "rw-------");
                write(out);
            }
            Files.move(part, file, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
        } finally {
            Files.deleteIfExists(part);
        }
    }

    boolean isEmpty() {
        return shelves.all().stream().allMatch(s -> shelves.items(s).isEmpty());
    }

    /** What putting a backup back would change. */
    RestorePlan preview(Path file, Mode mode) {
        Map<Shelf, List<Item>> backup = ArchiveReader.read(file, shelves.all(), json);
        return new Restore(backup, mode, false).plan(false);
    }

    /**
     * Puts a backup back, all of it or nothing.
     *
     * @throws BackupException when it cannot be; nothing was changed then
     */
    RestorePlan restore(Path file, Mode mode) throws IOException {
        Map<Shelf, List<Item>> backup = ArchiveReader.read(file, shelves.all(), json);
        Optional<Path> undo = undoFile();
        if (undo.isPresent()) {
            write(undo.get());
        }
        try {
            RestorePlan plan = put(new Restore(backup, mode, undo.isPresent()));
            forgetOldUndos();
            return plan;
        } catch (RuntimeException e) {
            if (undo.isPresent()) {
                Files.deleteIfExists(undo.get());
            }
            throw e;
        }
    }

    /** Undoes the last restore. Undone once, the one before it can be. */
    RestorePlan undo() throws IOException {
        Path last = undos().stream()
                .reduce((first, second) -> second)
                .orElseThrow(
                        () -> new BackupException("There is nothing to undo: no backup was put back into this book."));
        Restore back = new Restore(ArchiveReader.read(last, shelves.all(), json), Mode.REPLACE, undos().size() > 1);
        RestorePlan plan = put(back);
        Files.deleteIfExists(last);
        return plan;
    }

    private RestorePlan put(Restore restore) {
        return writes.in(restore::done);
    }

    private Optional<Path> undoFile() {
        return directory.backups().map(b -> b.resolve(UNDO + LocalDateTime.now().format(STAMP) + ".zip"));
    }

    private List<Path> undos() throws IOException {
        return directory.backups().isPresent() ? files(directory.backups().get(), UNDO) : List.of();
    }

    private void forgetOldUndos() throws IOException {
        List<Path> undos = undos();
        for (Path old : undos.subList(0, Math.max(0, undos.size() - UNDOS_KEPT))) {
            Files.deleteIfExists(old);
        }
    }

    /** Files of a directory that begin so, oldest first. */
    static List<Path> files(Path directory, String start) throws IOException {
        try (var files = Files.list(directory)) {
            return files.filter(f -> f.getFileName().toString().startsWith(start)
                            && f.getFileName().toString().endsWith(".zip"))
                    .sorted()
                    .toList();
        }
    }

    /** A backup beside the book it is put back into. */
    private final class Restore {
        private final Map<Shelf, List<Item>> backup;
        private final Mode mode;
        private final boolean undo;

        /** @param undo whether it can be undone once it is done */
        Restore(Map<Shelf, List<Item>> backup, Mode mode, boolean undo) {
            this.backup = backup;
            this.mode = mode;
            this.undo = undo;
        }

        RestorePlan plan(boolean stored) {
            List<ShelfPlan> plans = new ArrayList<>();
            backup.forEach((shelf, items) -> plans.add(plan(shelf, items, here(shelf))));
            return new RestorePlan(mode.name().toLowerCase(Locale.ROOT), stored, undo, plans);
        }

        RestorePlan done() {
            RestorePlan plan = plan(true);
            List<Shelf> order = new ArrayList<>(backup.keySet());
            if (mode == Mode.REPLACE) {
                for (int i = order.size() - 1; i >= 0; i--) {
                    Shelf shelf = order.get(i);
                    gone(backup.get(shelf), here(shelf)).forEach(item -> shelves.drop(shelf, item.uid()));
                }
            }
            for (Shelf shelf : order) {
                Map<UUID, Item> here = here(shelf);
                for (Item item : backup.get(shelf)) {
                    Item wanted = wanted(item, here.get(item.uid()));
                    if (here.get(item.uid()) == null || isChange(wanted, here.get(item.uid()))) {
                        shelves.put(shelf, wanted);
                    }
                }
            }
            shelves.countOn();
            return plan;
        }

        private Map<UUID, Item> here(Shelf shelf) {
            return shelves.items(shelf).stream()
                    .collect(Collectors.toMap(Item::uid, Function.identity(), (a, b) -> a, LinkedHashMap::new));
        }

        private Item wanted(Item there, Item here) {
            return here == null || mode == Mode.REPLACE ? there : Item.merged(here, there);
        }

        private boolean isChange(Item wanted, Item here) {
            return !wanted.content().equals(here.content());
        }

        private List<Item> gone(List<Item> items, Map<UUID, Item> here) {
            if (mode == Mode.MERGE) {
                return List.of();
            }
            Map<UUID, Item> left = new LinkedHashMap<>(here);
            items.forEach(i -> left.remove(i.uid()));
            return List.copyOf(left.values());
        }

        private ShelfPlan plan(Shelf shelf, List<Item> items, Map<UUID, Item> here) {
            List<String> added = new ArrayList<>();
            List<String> changed = new ArrayList<>();
            int same = 0;
            for (Item item : items) {
                Item own = here.get(item.uid());
                if (own == null) {
                    added.add(item.label(shelf));
                } else if (isChange(wanted(item, own), own)) {
                    changed.add(item.label(shelf));
                } else {
                    same++;
                }
            }
            List<String> removed =
                    gone(items, here).stream().map(i -> i.label(shelf)).toList();
            return new ShelfPlan(shelf.kind(), added, changed, removed, same);
        }
    }
}
