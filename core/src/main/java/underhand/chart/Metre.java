package underhand.chart;

import java.util.Set;
import underhand.input.RangeException;

/**
 * A time signature, such as 4/4.
 *
 * @param beats beats a bar, 1 to 16
 * @param unit note value of a beat: 1, 2, 4, 8 or 16
 */
public record Metre(int beats, int unit) {

    private static final Set<Integer> UNITS = Set.of(1, 2, 4, 8, 16);

    public static final Metre COMMON = new Metre(4, 4);

    public Metre {
        if (beats < 1 || beats > 16 || !UNITS.contains(unit)) {
            throw new RangeException(
                    "metre", "a metre has 1 to 16 beats of 1, 2, 4, 8 or 16, such as 3/4; was " + beats + "/" + unit);
        }
    }

    /** Reads {@code 3/4}; also {@code C} for 4/4. */
    public static Metre parse(String text) {
        String trimmed = text.trim();
        if (trimmed.equals("C")) {
            return COMMON;
        }
        if (!trimmed.matches("[0-9]{1,2}\\s*/\\s*[0-9]{1,2}")) {
            throw new RangeException("metre", "\"" + trimmed + "\" is no metre; write it like 3/4");
        }
        String[] parts = trimmed.split("/");
        return new Metre(Integer.parseInt(parts[0].trim()), Integer.parseInt(parts[1].trim()));
    }

    @Override
    public String toString() {
        return beats + "/" + unit;
    }
}
