package underhand.format.staff;

import java.util.LinkedHashMap;
import java.util.Map;
import underhand.solve.PlacedGrip;

/** A chord over the staff with its barre as players write it: B and the fret in Roman numerals, {@code F BI}. */
public final class ChordMark {

    private static final Map<Integer, String> NUMERALS = new LinkedHashMap<>();

    static {
        NUMERALS.put(10, "X");
        NUMERALS.put(9, "IX");
        NUMERALS.put(5, "V");
        NUMERALS.put(4, "IV");
        NUMERALS.put(1, "I");
    }

    private ChordMark() {}

    /** @param placed a chord that is played with a grip */
    public static String of(PlacedGrip placed) {
        String name = placed.played().orElseThrow().glyphs();
        return placed.grip().orElseThrow().grip().barres().stream()
                .findFirst()
                .map(barre -> name + " B" + roman(barre.fret()))
                .orElse(name);
    }

    /** @param number from 1 to 39: no neck has as many frets */
    static String roman(int number) {
        StringBuilder numeral = new StringBuilder();
        int rest = number;
        for (Map.Entry<Integer, String> sign : NUMERALS.entrySet()) {
            while (rest >= sign.getKey()) {
                numeral.append(sign.getValue());
                rest -= sign.getKey();
            }
        }
        return numeral.toString();
    }
}
