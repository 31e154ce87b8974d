package underhand.texture;

import java.util.Optional;

/**
 * How voices are to move from one grip to the next.
 *
 * @param led whether as little as they can
 */
public record Motion(boolean led, Optional<Top> top) {

    public static final Motion FREE = new Motion(false, Optional.empty());

    /** What holds between two places: voices are led where both are of a led texture, the top goes as the later one wishes. */
    public static Motion between(Motion from, Motion to) {
        return from.equals(to) ? from : FREE;
    }
}
