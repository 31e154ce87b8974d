package underhand.server.shapes;

import com.fasterxml.jackson.databind.JsonNode;
import underhand.neck.Guitar;
import underhand.neck.Shape;
import underhand.neck.Tuning;
import underhand.server.platform.InputException;

/** Reads a shape as it is sent: as text, {@code x32010}, or as an array with null for silence. */
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
}
