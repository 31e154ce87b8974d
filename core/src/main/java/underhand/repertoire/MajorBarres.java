package underhand.repertoire;

import underhand.hand.Grip;
import underhand.hand.Hold;
import underhand.neck.Shape;
import underhand.settings.MajorBarre;

/** Three neighbouring strings stopped on one fret: by one finger across, or by a fingertip each. */
final class MajorBarres {

    private static final int STRINGS = 3;

    private MajorBarres() {}

    /** Whether a grip stops every such run as the house rule wants it. */
    static boolean keeps(Grip grip, MajorBarre rule) {
        if (rule == MajorBarre.EITHER) {
            return true;
        }
        Shape shape = grip.shape();
        for (int string = 0; string + STRINGS <= shape.strings(); string++) {
            int fret = shape.fret(string);
            boolean run = fret > 0 && shape.fret(string + 1) == fret && shape.fret(string + 2) == fret;
            if (run && isBarred(grip, string) != (rule == MajorBarre.BARRE)) {
                return false;
            }
        }
        return true;
    }

    private static boolean isBarred(Grip grip, int string) {
        for (Hold hold : grip.holds()) {
            if (hold.lowString() <= string
                    && hold.highString() >= string + STRINGS - 1
                    && hold.fret() == grip.shape().fret(string)) {
                return true;
            }
        }
        return false;
    }
}
