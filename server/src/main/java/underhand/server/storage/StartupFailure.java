package underhand.server.storage;

import java.io.Serial;

/** Why the application does not start, in one sentence for whoever started it. */
public final class StartupFailure extends RuntimeException {
    @Serial
    private static final long serialVersionUID = 1L;

    public StartupFailure(String sentence) {
        super(sentence);
    }

    StartupFailure(String sentence, Throwable cause) {
        super(sentence, cause);
    }
}
