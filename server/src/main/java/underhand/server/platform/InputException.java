package underhand.server.platform;

import java.io.Serial;
import org.springframework.http.HttpStatus;

/** Input that cannot be used; says what and where. */
public final class InputException extends RuntimeException {
    @Serial
    private static final long serialVersionUID = 1L;

    private final HttpStatus status;
    private final String field;

    private InputException(HttpStatus status, String field, String message) {
        super(message);
        this.status = status;
        this.field = field;
    }

    /** A field that is missing or whose value is out of range. */
    public static InputException field(String field, String message) {
        return new InputException(HttpStatus.UNPROCESSABLE_ENTITY, field, message);
    }

    public static InputException notFound(String what) {
        return new InputException(HttpStatus.NOT_FOUND, "", what);
    }

    HttpStatus status() {
        return status;
    }

    /** Name of the field, or blank. */
    String field() {
        return field;
    }
}
