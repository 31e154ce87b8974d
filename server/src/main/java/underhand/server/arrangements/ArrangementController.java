package underhand.server.arrangements;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import underhand.hand.Rung;

/** Arranges a chart without storing anything. */
@RestController
@RequestMapping("/api/v1")
class ArrangementController {

    private final ArrangementService service;

    ArrangementController(ArrangementService service) {
        this.service = service;
    }

    @PostMapping("/arrangements/preview")
    ArrangementView preview(@RequestBody PreviewRequest request) {
        return service.preview(request);
    }

    record RungView(int level, String name, int mostFingers, int longestBarre, int highestFret, double changeSeconds) {}

    @GetMapping("/rungs")
    List<RungView> rungs() {
        return Rung.all().stream()
                .map(r -> new RungView(
                        r.level(), r.name(), r.mostFingers(), r.longestBarre(), r.highestFret(), r.changeSeconds()))
                .toList();
    }
}
