package underhand.server.players;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.Optional;
import underhand.neck.Guitar;
import underhand.neck.Tuning;

/** A guitar that differs from a steel-string acoustic; lengths in mm. What is missing keeps its default. */
public record GuitarRequest(
        @Schema(allowableValues = {"acoustic", "nylon", "electric"})
        String kind,

        Double scaleLengthMm,
        Double nutSpreadMm,
        Double bridgeSpreadMm,
        Integer frets) {

    private static final String UNNAMED = "A guitar";

    GuitarBuild toBuild() {
        Guitar usual = Guitar.ACOUSTIC;
        return new GuitarBuild(
                UNNAMED,
                Optional.ofNullable(kind).orElse(usual.kind().id()),
                Optional.ofNullable(scaleLengthMm).orElse(usual.scaleLengthMm()),
                Optional.ofNullable(nutSpreadMm).orElse(usual.nutSpreadMm()),
                Optional.ofNullable(bridgeSpreadMm).orElse(usual.bridgeSpreadMm()),
                Optional.ofNullable(frets).orElse(usual.frets()),
                Tuning.STANDARD.toString());
    }
}
