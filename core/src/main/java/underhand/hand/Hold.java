package underhand.hand;

/**
 * One finger pressing: on a fret above the capo, from its lowest string to its highest (the same but for a barre).
 *
 * @param finger 1 to 4, or {@link Grip#THUMB}
 * @param lowString index of the lowest string pressed
 * @param highString index of the highest string pressed
 */
public record Hold(int finger, int fret, int lowString, int highString) {

    public Hold {
        if (finger < 1 || finger > Grip.THUMB || fret < 1 || highString < lowString) {
            throw new IllegalArgumentException("no such hold: finger " + finger + ", fret " + fret + ", strings "
                    + lowString + " to " + highString);
        }
    }

    public boolean isBarre() {
        return highString > lowString;
    }

    public int strings() {
        return highString - lowString + 1;
    }

    /** The same place under another finger. */
    Hold by(int other) {
        return new Hold(other, fret, lowString, highString);
    }

    /** The number players write, {@code T} for the thumb. */
    public String label() {
        return finger == Grip.THUMB ? "T" : Integer.toString(finger);
    }
}
