package underhand.server.storage;

import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import org.springframework.stereotype.Component;
import underhand.server.storage.StorageException.Reason;

/**
 * Whether the disk takes what is about to be stored. The database closes itself when a write of its own fails, so a write is
 * refused while there is still some room, and reading goes on.
 */
@Component
public class Room {

    /** What must be free for a write: more than a request of the largest size leaves in the database's file. */
    static final long LEAST_BYTES = 16L * 1024 * 1024;

    private static final String PROBE = "room.probe";

    private final DataDirectory directory;

    Room(DataDirectory directory) {
        this.directory = directory;
    }

    /** @throws StorageException when nothing can be stored */
    public void require() {
        Optional<StorageException> lack = lack();
        if (lack.isPresent()) {
            throw lack.get();
        }
    }

    /** Why nothing can be stored at present. */
    public Optional<Reason> missing() {
        return lack().map(StorageException::reason);
    }

    private Optional<StorageException> lack() {
        return directory.path().flatMap(this::lack);
    }

    private Optional<StorageException> lack(Path path) {
        try {
            // How long a file may be is limited too, and only trying tells: the probe is as long as the database would
            // be.
            Path probe = path.resolve(PROBE);
            try (RandomAccessFile file = new RandomAccessFile(probe.toFile(), "rw")) {
                file.setLength(directory.storedBytes() + LEAST_BYTES);
            } finally {
                Files.deleteIfExists(probe);
            }
            return Files.getFileStore(path).getUsableSpace() < LEAST_BYTES
                    ? Optional.of(new StorageException(Reason.FULL, null))
                    : Optional.empty();
        } catch (IOException e) {
            return Optional.of(new StorageException(StorageException.reasonOf(e).orElse(Reason.READ_ONLY), e));
        }
    }
}
