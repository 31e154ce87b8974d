package underhand.server.backup;

import java.io.Serial;

/** A file that is no backup, or one that cannot be put back; says what is wrong with it. Nothing was changed. */
final class BackupException extends RuntimeException {
    @Serial
    private static final long serialVersionUID = 1L;

    BackupException(String message) {
        super(message);
    }

    BackupException(String message, Throwable cause) {
        super(message, cause);
    }
}
