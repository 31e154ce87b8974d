package underhand.server.players;

import io.swagger.v3.oas.annotations.media.Schema;
import underhand.neck.Guitar;
import underhand.neck.Tuning;
import underhand.server.platform.InputException;

/**
 * How a guitar is built and tuned.
 *
 * @param kind acoustic, nylon or electric; a capo is offered on the first two
 * @param nutSpreadMm distance between the outer strings at the nut
 * @param bridgeSpreadMm distance between the outer strings at the bridge
 * @param tuning open strings, low to high
 */
public record GuitarBuild(
        String name,

        @Schema(allowableValues = {"acoustic", "nylon", "electric"})
        String kind,

        double scaleLengthMm,
        double nutSpreadMm,
        double bridgeSpreadMm,
        int frets,
        String tuning) {

    private static final int LONGEST_NAME = 80;

    /** @throws RuntimeException naming the field that is out of range */
    void check() {
        if (name == null || name.isBlank() || name.length() > LONGEST_NAME) {
            throw InputException.field("name", "A guitar needs a name of 1 to " + LONGEST_NAME + " characters.");
        }
        if (tuning == null) {
            throw InputException.field("tuning", "tuning is missing; write the strings low to high.");
        }
        Tuning.parse(tuning);
        toGuitar();
    }

    Guitar toGuitar() {
        return new Guitar(Guitar.Kind.parse(kind), scaleLengthMm, nutSpreadMm, bridgeSpreadMm, frets);
    }
}
