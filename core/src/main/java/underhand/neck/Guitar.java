package underhand.neck;

import java.util.Objects;

/**
 * What of a guitar the hand feels.
 *
 * @param scaleLengthMm sounding length of the open string
 * @param nutSpreadMm distance between the outer strings at the nut
 * @param bridgeSpreadMm distance between the outer strings at the bridge
 * @param frets number of frets on the neck
 */
public record Guitar(String name, double scaleLengthMm, double nutSpreadMm, double bridgeSpreadMm, int frets) {

    public static final int MOST_FRETS = 36;

    /** A steel-string acoustic; spreads from memory. */
    public static final Guitar ACOUSTIC = new Guitar("Acoustic", 648, 36, 52, 20);

    public Guitar {
        Objects.requireNonNull(name, "name");
        inRange("scaleLengthMm", scaleLengthMm, 300, 1000);
        inRange("nutSpreadMm", nutSpreadMm, 20, 90);
        inRange("bridgeSpreadMm", bridgeSpreadMm, 20, 120);
        inRange("frets", frets, 5, MOST_FRETS);
    }

    private static void inRange(String field, double value, double low, double high) {
        if (!(value >= low && value <= high)) {
            throw new IllegalArgumentException(field + " must be " + low + " to " + high + ", was " + value);
        }
    }
}
