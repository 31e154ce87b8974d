package underhand.arrange;

import java.util.Objects;
import underhand.neck.Shape;

/** A decision of the player: this placement keeps this shape, counted from the capo. */
public record Lock(int placement, Shape shape) {

    public Lock {
        Objects.requireNonNull(shape, "shape");
        if (placement < 0) {
            throw new IllegalArgumentException("placement must be 0 or more, was " + placement);
        }
    }
}
