package underhand.server.engraving;

import io.swagger.v3.oas.annotations.media.Schema;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import underhand.format.engrave.Engraving;
import underhand.format.score.ScoredPart;
import underhand.server.arrangements.PreviewRequest;
import underhand.server.parts.PartService;
import underhand.server.platform.InputException;

/** Engraves parts; nothing is stored. */
@RestController
@RequestMapping("/api/v1/parts")
class EngravingController {

    private static final double NARROWEST = 150;
    private static final double WIDEST = 5000;

    private final PartService parts;

    EngravingController(PartService parts) {
        this.parts = parts;
    }

    /**
     * @param second whether the part is the second guitar's
     * @param writtenOut whether strums have all their notes, and bars like the one before theirs
     * @param width points of a row, 150 to 5000; a space of the staff has 4.6, a line of text 9
     */
    record EngravingRequest(
            PreviewRequest song,
            @Schema(nullable = true) Boolean second,
            @Schema(nullable = true) Boolean writtenOut,
            double width) {}

    @PostMapping("/engraving")
    EngravingView engraving(@RequestBody EngravingRequest request) {
        if (!(request.width() >= NARROWEST && request.width() <= WIDEST)) {
            throw InputException.field("width", "width must be 150 to 5000 points, was " + request.width() + ".");
        }
        boolean second = Boolean.TRUE.equals(request.second());
        ScoredPart scored = second
                ? parts.second(request.song()).scored("Second guitar")
                : parts.part(request.song()).scored("Guitar");
        boolean writtenOut = Boolean.TRUE.equals(request.writtenOut());
        return new EngravingView(Engraving.rows(scored, writtenOut, (float) request.width(), Type.FACES).stream()
                .map(row -> RowInk.view(scored, row))
                .toList());
    }
}
