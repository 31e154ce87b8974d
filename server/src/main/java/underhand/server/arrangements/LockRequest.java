package underhand.server.arrangements;

import com.fasterxml.jackson.databind.JsonNode;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.OptionalInt;
import underhand.chart.Chart;
import underhand.input.RangeException;
import underhand.server.platform.InputException;
import underhand.server.shapes.ShapeInput;
import underhand.settings.ArrangementSettings;
import underhand.settings.Lock;

/**
 * A placement that keeps a shape, or a region of the neck: either frets, or lowestFret and highestFret.
 *
 * @param placement counted from 0 in the chart
 * @param part which of the placement's chords, where its reading has several; 0 when missing
 * @param frets the shape, counted from the capo
 * @param fingers the player's own for these frets; the planner's when missing
 * @param lowestFret lowest fret a finger may press
 * @param highestFret highest fret a finger may press
 * @param capo fret of the capo the frets were counted from; that of the part, wherever it sits, when missing
 * @param transpose semitones the song was moved by then; 0 when missing
 */
public record LockRequest(
        Integer placement,
        @Schema(nullable = true) Integer part,

        @Schema(type = "string", example = "x32010", nullable = true)
        JsonNode frets,

        @Schema(type = "string", example = "-32-1-", nullable = true)
        JsonNode fingers,

        @Schema(nullable = true) Integer lowestFret,
        @Schema(nullable = true) Integer highestFret,

        @Schema(nullable = true, minimum = "0", maximum = "11")
        Integer capo,

        @Schema(nullable = true, minimum = "-11", maximum = "11")
        Integer transpose) {

    /**
     * @param transposed semitones the song is moved by now
     * @throws InputException naming what is missing
     */
    public Lock toLock(int transposed) {
        if (placement == null) {
            throw InputException.field("locks", "A lock names its placement, counted from 0.");
        }
        if (placement < 0 || placement >= Chart.MOST_PLACEMENTS) {
            throw InputException.field(
                    "locks.placement",
                    "locks.placement must be 0 to " + (Chart.MOST_PLACEMENTS - 1) + ", was " + placement + ".");
        }
        int at = part == null ? 0 : part;
        if (lowestFret != null || highestFret != null) {
            if (lowestFret == null || highestFret == null || isGiven(frets) || isGiven(fingers)) {
                throw InputException.field(
                        "locks", "A lock has either frets, or both lowestFret and highestFret of a region.");
            }
            return new Lock(placement, at, new Lock.Region(lowestFret, highestFret), capoFor(transposed));
        }
        Lock.OneShape shape =
                new Lock.OneShape(ShapeInput.read("locks.frets", frets), ShapeInput.fingers("locks.fingers", fingers));
        return new Lock(placement, at, shape, capoFor(transposed));
    }

    /** The fret the frets would count from in the key the song is in now. */
    private OptionalInt capoFor(int transposed) {
        if (capo == null) {
            return OptionalInt.empty();
        }
        int before = transpose == null ? 0 : transpose;
        RangeException.check("locks.capo", capo, 0, ArrangementSettings.HIGHEST_ASKED_CAPO);
        RangeException.check(
                "locks.transpose", before, -SettingsReader.MOST_TRANSPOSED, SettingsReader.MOST_TRANSPOSED);
        return OptionalInt.of(capo + transposed - before);
    }

    private static boolean isGiven(JsonNode node) {
        return node != null && !node.isNull();
    }

    /** The same at another placement. */
    public LockRequest at(int other) {
        return new LockRequest(other, part, frets, fingers, lowestFret, highestFret, capo, transpose);
    }
}
