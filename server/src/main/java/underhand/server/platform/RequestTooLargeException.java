package underhand.server.platform;

import java.io.IOException;
import java.io.Serial;

/** A request body past the limit. */
final class RequestTooLargeException extends IOException {
    @Serial
    private static final long serialVersionUID = 1L;

    RequestTooLargeException(long limit) {
        super("A request may have at most " + limit + " bytes.");
    }
}
