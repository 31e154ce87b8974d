package underhand.texture;

import java.util.Arrays;
import java.util.Locale;

/** A family of voicings. A shape belongs to it by its structure, not by taste; what that is, {@link Structure} says. */
public enum Family {
    /** At least one open string, and what is fretted lies within four frets of the nut or capo. */
    OPEN,
    /** No open string: one of the five open-chord forms moved up, whole or its upper or lower part. */
    FORM,
    /** The root lowest on string 6 or 5, third and seventh or sixth above it, at most one more note on top. */
    SHELL,
    /** The root on string 6 without string 5, or on string 5 without string 6; four or five notes. */
    MUTED,
    /** Third and seventh alone, on two adjacent strings. */
    GUIDE,
    /** Four adjacent strings with a voice each: a close voicing with its second voice from the top an octave down. */
    DROP_2,
    /** Strings 6-4-3-2 or 5-3-2-1: a close voicing with its third voice from the top an octave down. */
    DROP_3,
    /** Three adjacent strings, three different notes. */
    TRIAD,
    /** Root and third a tenth, or third and root a sixth and an octave, on two strings with one or two between. */
    TENTH,
    /** Root and fifth, with octaves, or a second in place of the third, on neighbouring strings. */
    POWER,
    /**
     * On a neck whose two lowest strings are a fifth apart, so that one finger stops root and fifth: those on the three lowest
     * strings with the root, the second or the third on top; or the third below the root and on top.
     */
    DROPPED;

    /** {@code drop-2}. */
    public String id() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** {@code drop 2}. */
    public String label() {
        return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    /** Strings a voicing of it sounds on at least. */
    int fewestStrings() {
        return switch (this) {
            case DROP_2, DROP_3 -> 4;
            case TRIAD, DROPPED -> 3;
            default -> 2;
        };
    }

    static Family parse(String id) {
        return Arrays.stream(values())
                .filter(family -> family.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("there is no family " + id));
    }
}
