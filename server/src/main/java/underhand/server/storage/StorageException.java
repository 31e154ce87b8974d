package underhand.server.storage;

import java.io.IOException;
import java.io.Serial;
import java.util.Locale;
import java.util.Optional;

/** Something could not be stored because of the disk; nothing of it was. */
public final class StorageException extends RuntimeException {
    @Serial
    private static final long serialVersionUID = 1L;

    /** What the disk refuses. */
    public enum Reason {
        FULL("The disk is full; nothing was stored. Make room on it, then save again."),
        READ_ONLY("The disk cannot be written to; nothing was stored. Make it writable, then save again.");

        private final String words;

        Reason(String words) {
            this.words = words;
        }

        /** What is wrong and what to do, in words. */
        public String words() {
            return words;
        }
    }

    private final Reason reason;

    StorageException(Reason reason, Throwable cause) {
        super(reason.words(), cause);
        this.reason = reason;
    }

    public Reason reason() {
        return reason;
    }

    /** What of the disk a failure tells, whoever it came through; empty when it is not the disk's fault. */
    static Optional<Reason> reasonOf(Throwable failure) {
        for (Throwable at = failure; at != null; at = at.getCause()) {
            if (at instanceof IOException) {
                String said = String.valueOf(at.getMessage()).toLowerCase(Locale.ROOT);
                if (said.contains("no space") || said.contains("too large") || said.contains("quota")) {
                    return Optional.of(Reason.FULL);
                }
                if (said.contains("read-only") || said.contains("permission denied")) {
                    return Optional.of(Reason.READ_ONLY);
                }
            }
        }
        return Optional.empty();
    }
}
