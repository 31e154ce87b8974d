package underhand.fill;

import java.util.ArrayList;
import java.util.List;
import underhand.neck.Shape;

/**
 * A fill before it has fingers.
 *
 * @param variant what follows the rule's id after a colon; blank where there is but one
 * @param moments in the order of time
 * @param movable whether it may stand earlier in the room, its last note held, where the hand needs the time
 */
record Sketch(String variant, String reason, List<Moment> moments, boolean movable) {

    /** A fill that leads into what comes next, and so stands where it stands. */
    Sketch(String variant, String reason, List<Moment> moments) {
        this(variant, reason, moments, false);
    }

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

    /** The same so many beats earlier, its last note held on. */
    Sketch earlier(double beats) {
        List<Moment> moved = new ArrayList<>();
        for (Moment moment : moments) {
            boolean last = moment == moments.get(moments.size() - 1);
            moved.add(new Moment(
                    moment.from() - beats,
                    moment.beats() + (last ? beats : 0),
                    moment.shape(),
                    moment.strings(),
                    moment.technique()));
        }
        return new Sketch(variant, reason, moved, movable);
    }
}
