package underhand.server.platform;

import java.io.Serial;

/** Somebody else changed a thing since it was read; keeps both versions. */
public final class StaleWriteException extends RuntimeException {
    @Serial
    private static final long serialVersionUID = 1L;

    private final transient Object yours;
    private final transient Object current;

    public StaleWriteException(String what, Object yours, Object current) {
        super(what
                + " was changed elsewhere since you opened it. Nothing was overwritten; choose which version to keep.");
        this.yours = yours;
        this.current = current;
    }

    Object yours() {
        return yours;
    }

    Object current() {
        return current;
    }
}
