package underhand.neck;

import java.util.Arrays;
import java.util.Locale;
import java.util.Objects;
import underhand.input.RangeException;

/**
 * What of a guitar the hand feels.
 *
 * @param scaleLengthMm sounding length of the open string
 * @param nutSpreadMm distance between the outer strings at the nut
 * @param bridgeSpreadMm distance between the outer strings at the bridge
 * @param frets number of frets on the neck
 */
public record Guitar(Kind kind, double scaleLengthMm, double nutSpreadMm, double bridgeSpreadMm, int frets) {

    /** What kind of guitar it is. */
    public enum Kind {
        ACOUSTIC(true),
        NYLON(true),
        ELECTRIC(false);

        private final boolean takesCapo;

        Kind(boolean takesCapo) {
            this.takesCapo = takesCapo;
        }

        /** @throws RangeException naming the kinds there are */
        public static Kind parse(String id) {
            return Arrays.stream(values())
                    .filter(kind -> kind.id().equals(id))
                    .findFirst()
                    .orElseThrow(() -> RangeException.outside("kind", id, "acoustic, nylon or electric"));
        }

        public String id() {
            return name().toLowerCase(Locale.ROOT);
        }

        /** Whether players usually put a capo on it; common practice. */
        public boolean takesCapo() {
            return takesCapo;
        }
    }

    public static final int MOST_FRETS = 36;

    /** A steel-string acoustic; spreads from memory. */
    public static final Guitar ACOUSTIC = new Guitar(Kind.ACOUSTIC, 648, 36, 52, 20);

    public Guitar {
        Objects.requireNonNull(kind, "kind");
        RangeException.check("scaleLengthMm", scaleLengthMm, 300, 1000);
        RangeException.check("nutSpreadMm", nutSpreadMm, 20, 90);
        RangeException.check("bridgeSpreadMm", bridgeSpreadMm, 20, 120);
        RangeException.check("frets", frets, 5, MOST_FRETS);
    }
}
