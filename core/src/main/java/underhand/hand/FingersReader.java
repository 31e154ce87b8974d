package underhand.hand;

import java.util.ArrayList;
import java.util.List;
import underhand.input.FormatException;
import underhand.neck.Fretboard;
import underhand.neck.Shape;

/** Reads the fingers a player wants for a shape, a sign a string from the lowest: {@code -32-1-}. */
public final class FingersReader {

    private static final String WHAT = "the fingers";
    private static final String SIGNS = "1234T";

    private FingersReader() {}

    /**
     * The grip they make. It need not be one the search would find: fingers may cross.
     *
     * @throws FormatException with the string's index, where a stopped string has no finger or another one has, and where a
     *     finger would have to be in two places
     */
    public static Grip read(Shape shape, String fingers, Fretboard board) {
        check(shape, fingers);
        List<Hold> holds = new ArrayList<>();
        for (int finger = 1; finger <= Grip.THUMB; finger++) {
            char sign = SIGNS.charAt(finger - 1);
            int low = fingers.indexOf(sign);
            if (low >= 0) {
                holds.add(new Hold(finger, shape.fret(low), low, fingers.lastIndexOf(sign)));
            }
        }
        return new Grip(shape, holds, board);
    }

    /** The same checks without a neck. */
    public static void check(Shape shape, String fingers) {
        if (fingers.length() != shape.strings()) {
            throw FormatException.inText(
                    WHAT,
                    fingers,
                    Math.min(fingers.length(), shape.strings()),
                    shape + " has " + shape.strings() + " strings, these are " + fingers.length()
                            + " signs; write a sign a string, - where no finger is.");
        }
        for (int string = 0; string < shape.strings(); string++) {
            char sign = fingers.charAt(string);
            if (sign != '-' && SIGNS.indexOf(sign) < 0) {
                throw FormatException.inText(WHAT, fingers, string, "write 1 to 4, T for the thumb, - for no finger.");
            }
            if (shape.isFretted(string) != (sign != '-')) {
                throw FormatException.inText(
                        WHAT,
                        fingers,
                        string,
                        shape.isFretted(string)
                                ? "the string is stopped at fret " + shape.fret(string) + "; say with which finger."
                                : "no finger presses a string that is open or silent; write - there.");
            }
        }
        for (int finger = 0; finger < SIGNS.length(); finger++) {
            int low = fingers.indexOf(SIGNS.charAt(finger));
            if (low >= 0) {
                checkBarre(shape, fingers, low, fingers.lastIndexOf(SIGNS.charAt(finger)));
            }
        }
    }

    private static void checkBarre(Shape shape, String fingers, int low, int high) {
        for (int string = low; string <= high; string++) {
            boolean isSame = fingers.charAt(string) == fingers.charAt(low);
            if (isSame && shape.fret(string) != shape.fret(low)) {
                throw FormatException.inText(WHAT, fingers, string, "one finger cannot press two frets.");
            }
            if (!shape.isSilent(string) && shape.fret(string) < shape.fret(low)) {
                throw FormatException.inText(
                        WHAT, fingers, string, "the finger would have to lie over this string, which sounds below it.");
            }
        }
    }
}
