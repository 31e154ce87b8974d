package underhand.work;

import java.io.Serial;

/** Ends work whose result nobody wants any more. */
public final class GivenUpException extends RuntimeException {
    @Serial
    private static final long serialVersionUID = 1L;

    public GivenUpException() {
        super("nobody wants the result of this work any more", null, false, false);
    }

    /** One that comes from another thread. */
    public GivenUpException(Throwable cause) {
        super("nobody wants the result of this work any more", cause, false, false);
    }
}
