package underhand.picking;

import java.util.Locale;

/** A finger of the picking hand, from the thumb: pulgar, indice, medio, anular. */
public enum Finger {
    P,
    I,
    M,
    A;

    /** {@code p}, {@code i}, {@code m} or {@code a}. */
    public String letter() {
        return name().toLowerCase(Locale.ROOT);
    }
}
