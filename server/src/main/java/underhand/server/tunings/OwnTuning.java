package underhand.server.tunings;

import java.util.Locale;
import underhand.neck.Tuning;
import underhand.server.platform.InputException;

/**
 * A player's own tuning.
 *
 * @param strings pitches from the lowest string to the highest
 */
record OwnTuning(String name, String strings) {

    private static final int LONGEST_NAME = 40;

    /** @throws RuntimeException naming what cannot be */
    Tuning toTuning() {
        if (name == null || name.isBlank() || name.length() > LONGEST_NAME) {
            throw InputException.field("name", "name needs 1 to " + LONGEST_NAME + " characters.");
        }
        String said = name.strip().toLowerCase(Locale.ROOT);
        if (Tuning.named().keySet().stream()
                .anyMatch(known -> known.toLowerCase(Locale.ROOT).equals(said))) {
            throw InputException.field(
                    "name", "\"" + name.strip() + "\" is a tuning everybody knows; give yours a name of its own.");
        }
        if (strings == null || strings.isBlank()) {
            throw InputException.field(
                    "strings", "strings is missing; write them from the lowest, such as D2 A2 D3 G3 B3 E4.");
        }
        return Tuning.parse(strings);
    }
}
