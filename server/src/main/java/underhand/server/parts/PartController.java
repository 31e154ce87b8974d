package underhand.server.parts;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import underhand.arrange.PatternRanking;
import underhand.fill.Fill;
import underhand.fill.Fills;
import underhand.picking.Patterns;
import underhand.picking.PickingPattern;
import underhand.server.arrangements.FillChoiceRequest;
import underhand.server.arrangements.PatternChoiceRequest.OwnPattern;
import underhand.server.arrangements.PreviewRequest;
import underhand.server.shapes.GripView;

/** Parts, patterns and fills; nothing is stored. */
@RestController
@RequestMapping("/api/v1")
class PartController {

    private final PartService service;

    PartController(PartService service) {
        this.service = service;
    }

    /** @param second whether the part is the second guitar's */
    record PartRequest(
            PreviewRequest song, @Schema(nullable = true) Boolean second) {}

    @PostMapping("/parts/preview")
    PartView preview(@RequestBody PartRequest request) {
        PartService.Written written =
                Boolean.TRUE.equals(request.second()) ? service.second(request.song()) : service.part(request.song());
        return written.view();
    }

    /**
     * A pattern that ships, or one of a player's.
     *
     * @param beat whether it is what is played where nothing is chosen: a stroke a beat
     */
    record PatternView(
            String id,
            String name,
            String metre,
            boolean swing,
            int rung,
            int slowest,
            int fastest,
            boolean strummed,
            boolean varies,
            boolean beat,
            String steps) {

        static PatternView of(PickingPattern pattern) {
            return new PatternView(
                    pattern.id(),
                    pattern.name(),
                    pattern.metre().toString(),
                    pattern.swing(),
                    pattern.lowestRung(),
                    pattern.slowest(),
                    pattern.fastest(),
                    pattern.isStrummed(),
                    pattern.variation().isPresent(),
                    pattern.isBeat(),
                    pattern.toSteps());
        }
    }

    @GetMapping("/picking-patterns")
    List<PatternView> patterns() {
        return Patterns.all().stream().map(PatternView::of).toList();
    }

    /** Reads a pattern without keeping it. */
    @PostMapping("/picking-patterns/check")
    PatternView check(@RequestBody OwnPattern pattern) {
        return PatternView.of(pattern.toPattern());
    }

    /**
     * @param own patterns of the player's own, ranked with those that ship
     * @param second whether the patterns are the second guitar's
     */
    record RankingRequest(
            PreviewRequest song,
            String section,
            List<OwnPattern> own,
            @Schema(nullable = true) Boolean second) {}

    /** @param better a shape of the chord that can carry it; null where there is none */
    record BreakView(
            int place,
            String words,
            @Schema(nullable = true) String better) {}

    /** @param fingers stroke by stroke, such as {@code p}, {@code im} */
    record HandView(String school, List<String> fingers) {}

    /** @param hands the fingers in each school of picking; none for a strummed pattern */
    record FitView(
            PatternView pattern,
            double score,
            List<String> reasons,
            @Schema(nullable = true) BreakView breaks,
            List<HandView> hands) {

        static FitView of(PatternRanking.Fit fit) {
            return new FitView(
                    PatternView.of(fit.pattern()),
                    GripView.round(fit.score()),
                    fit.reasons(),
                    fit.breaks()
                            .map(b -> new BreakView(
                                    b.place(),
                                    b.words(),
                                    b.better()
                                            .map(g -> g.grip().grip().shape().toString())
                                            .orElse(null)))
                            .orElse(null),
                    fit.fingers().entrySet().stream()
                            .map(hand -> new HandView(hand.getKey().label(), hand.getValue()))
                            .toList());
        }
    }

    @PostMapping("/parts/patterns")
    List<FitView> ranking(@RequestBody RankingRequest request) {
        String section = request.section() == null ? "" : request.section();
        return service.patterns(request.song(), Boolean.TRUE.equals(request.second()), section, request.own()).stream()
                .map(FitView::of)
                .toList();
    }

    /** @param index place in the part, from 0 */
    record FillsRequest(PreviewRequest song, int index) {}

    /** @param notes strings counted from the highest as 1, with frets, in the order of time: {@code 5/2 5/0} */
    record FillView(
            String id,
            String name,
            String reason,
            String notes,
            int chromatic,
            double from,
            double effort,
            double neededSeconds,
            double availableSeconds) {

        static FillView of(Fill fill, int strings) {
            return new FillView(
                    fill.id(),
                    fill.name(),
                    fill.reason(),
                    String.join(
                            " ",
                            fill.notes().stream()
                                    .map(n -> (strings - n.string()) + "/" + n.fret())
                                    .toList()),
                    (int) fill.notes().stream().filter(n -> n.chromatic()).count(),
                    fill.from(),
                    GripView.round(fill.effort()),
                    GripView.round(fill.neededSeconds()),
                    GripView.round(fill.availableSeconds()));
        }
    }

    /** @param refusal why nothing is offered; blank where something is */
    record FillsView(List<FillView> fills, String refusal, List<RefusedFillView> refused) {}

    /** @param name kind of fills of this rung that do not fit here */
    record RefusedFillView(String name, String why) {

        static RefusedFillView of(Fills.Refused refused) {
            return new RefusedFillView(refused.name(), refused.why());
        }
    }

    @PostMapping("/parts/fills")
    FillsView fills(@RequestBody FillsRequest request) {
        PartService.Offered offered = service.fills(request.song(), request.index());
        return new FillsView(
                offered.offer().fills().stream()
                        .map(f -> FillView.of(f, offered.strings()))
                        .toList(),
                offered.offer().refusal(),
                offered.offer().refused().stream().map(RefusedFillView::of).toList());
    }

    record VariationRequest(PreviewRequest song) {}

    /** Fills that vary what the song repeats. */
    @PostMapping("/parts/variation")
    List<FillChoiceRequest> variation(@RequestBody VariationRequest request) {
        return service.variation(request.song());
    }
}
