package underhand.table;

import java.io.Serial;

/** A row of a shipped table that cannot be read. */
final class TableException extends IllegalStateException {
    @Serial
    private static final long serialVersionUID = 1L;

    TableException(String file, int line, String text, String reason, Throwable cause) {
        super(file + ", line " + line + ": \"" + text + "\": " + reason, cause);
    }
}
