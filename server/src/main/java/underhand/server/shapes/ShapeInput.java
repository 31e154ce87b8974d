package underhand.server.shapes;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.Optional;
import underhand.neck.Fretboard;
import underhand.neck.Guitar;
import underhand.neck.Shape;
import underhand.neck.Tuning;
import underhand.server.platform.InputException;

/** Reads shapes and fingers as they are sent: as text, {@code x32010}, {@code -32-1-}, or as arrays with null for none. */
public final class ShapeInput {

    private ShapeInput() {}

    /** @param field name of the field, for the error */
    public static Shape read(String field, JsonNode node) {
        if (node == null || node.isNull()) {
            throw InputException.field(field, field + " is missing; send a shape such as \"x32010\".");
        }
        if (node.isTextual()) {
            return Shape.parse(node.asText());
        }
        if (!node.isArray()) {
            throw InputException.field(field, field + " is neither text such as \"x32010\" nor an array of frets.");
        }
        if (node.size() < Tuning.FEWEST || node.size() > Tuning.MOST) {
            throw InputException.field(
                    field,
                    field + " has " + node.size() + " strings; a shape has " + Tuning.FEWEST + " to " + Tuning.MOST
                            + ".");
        }
        int[] frets = new int[node.size()];
        for (int string = 0; string < frets.length; string++) {
            JsonNode fret = node.get(string);
            if (!fret.isNull() && !(fret.isInt() && fret.asInt() >= 0 && fret.asInt() <= Guitar.MOST_FRETS)) {
                throw InputException.field(
                        field,
                        field + "[" + string + "] is " + fret + "; a fret is 0 to " + Guitar.MOST_FRETS
                                + ", or null for silence.");
            }
            frets[string] = fret.isNull() ? Shape.SILENT : fret.asInt();
        }
        return Shape.of(frets);
    }

    /** A neck as it is sent: the usual strings and no capo where nothing is said. */
    static Fretboard board(String tuning, Integer capo) {
        Tuning strings = tuning == null ? Tuning.STANDARD : Tuning.parse(tuning);
        return new Fretboard(Guitar.ACOUSTIC, strings, capo == null ? 0 : capo);
    }

    /** A shape that has the strings of a neck. */
    static Shape ofStrings(JsonNode frets, Fretboard board) {
        Shape shape = read("frets", frets);
        if (shape.strings() != board.strings()) {
            throw InputException.field(
                    "frets", "The shape has " + shape.strings() + " strings, the tuning " + board.strings() + ".");
        }
        return shape;
    }

    /**
     * Fingers from the lowest string, as {@link underhand.hand.FingersReader} reads them; empty when none are sent.
     *
     * @param field name of the field, for the error
     */
    public static Optional<String> fingers(String field, JsonNode node) {
        if (node == null || node.isNull()) {
            return Optional.empty();
        }
        if (node.isTextual()) {
            return Optional.of(node.asText().trim());
        }
        if (!node.isArray()) {
            throw InputException.field(
                    field, field + " is neither text such as \"-32-1-\" nor an array such as [null,\"3\",\"2\"].");
        }
        StringBuilder text = new StringBuilder();
        for (JsonNode finger : node) {
            if (!finger.isNull() && finger.asText().length() != 1) {
                throw InputException.field(
                        field,
                        field + "[" + text.length() + "] is " + finger
                                + "; a finger is \"1\" to \"4\", \"T\" or null.");
            }
            text.append(finger.isNull() ? "-" : finger.asText());
        }
        return Optional.of(text.toString());
    }
}
