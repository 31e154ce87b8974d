package underhand.fill;

import java.util.List;
import underhand.neck.Shape;

/**
 * A fill before it has fingers.
 *
 * @param variant what follows the rule's id after a colon; blank where there is but one
 * @param moments in the order of time
 */
record Sketch(String variant, String reason, List<Moment> moments) {

    /**
     * What sounds at one time.
     *
     * @param from beats after the start of the place
     * @param shape what the hand holds then
     * @param strings those that are sounded
     */
    record Moment(double from, double beats, Shape shape, List<Integer> strings, Technique technique) {}

    Sketch {
        moments = List.copyOf(moments);
    }

    double from() {
        return moments.get(0).from();
    }
}
