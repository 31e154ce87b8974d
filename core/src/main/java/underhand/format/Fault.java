package underhand.format;

import java.util.Objects;
import java.util.Optional;

/**
 * Something in a text that was not understood. The rest of the text was kept.
 *
 * @param line from 1
 * @param column from 1
 * @param input the piece that was not understood, at most 64 characters
 * @param reason what is wrong with it
 * @param suggestion what was probably meant
 */
public record Fault(int line, int column, String input, String reason, Optional<String> suggestion) {

    private static final int QUOTED = 64;

    public Fault {
        Objects.requireNonNull(reason, "reason");
        input = input.length() <= QUOTED ? input : input.substring(0, QUOTED) + "…";
    }

    /** One sentence for people: {@code Line 12, column 9: 'Hm7' is no chord name here. Did you mean Bm7?}. */
    public String message() {
        return "Line " + line + ", column " + column + ": '" + input + "' " + reason + "."
                + suggestion.map(s -> " Did you mean " + s + "?").orElse("");
    }
}
