package underhand.server.parts;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import underhand.arrange.PlacedGrip;
import underhand.fill.Fill;
import underhand.fill.Fills;
import underhand.fill.Variation;
import underhand.part.Part;
import underhand.part.PartWriter;
import underhand.part.PatternRanking;
import underhand.picking.Patterns;
import underhand.picking.PickingPattern;
import underhand.server.arrangements.ArrangementService;
import underhand.server.arrangements.ArrangementService.Arranged;
import underhand.server.arrangements.FillChoiceRequest;
import underhand.server.arrangements.PatternChoiceRequest.OwnPattern;
import underhand.server.arrangements.PreviewRequest;
import underhand.server.platform.InputException;

/** Makes parts of arrangements, and says what patterns and fills they may have. */
@Service
public class PartService {

    private final ArrangementService arrangements;

    PartService(ArrangementService arrangements) {
        this.arrangements = arrangements;
    }

    /** A part with what it was arranged from. */
    public record Written(Arranged arranged, Part part) {}

    public Written part(PreviewRequest request) {
        return arrangements.planned(request, () -> written(arrangements.arranged(request), request.fills()));
    }

    /** The part of a second guitar beside a first. */
    public Written second(PreviewRequest first, PreviewRequest second) {
        return arrangements.planned(first, () -> written(arrangements.arrangedBeside(first, second), second.fills()));
    }

    private static Written written(Arranged arranged, List<FillChoiceRequest> choices) {
        Fills fills = new Fills(arranged.arrangement(), arranged.settings());
        List<Fill> chosen = new ArrayList<>();
        List<String> gone = new ArrayList<>();
        for (FillChoiceRequest choice : choices == null ? List.<FillChoiceRequest>of() : choices) {
            choice.check();
            place(arranged, choice)
                    .flatMap(p -> fills.named(p.index(), choice.fill()))
                    .ifPresentOrElse(
                            chosen::add,
                            () -> gone.add("The fill at placement " + (choice.placement() + 1)
                                    + " does not fit any more and is left out."));
        }
        Part part = PartWriter.write(arranged.arrangement(), arranged.settings(), chosen);
        List<String> notices =
                Stream.concat(part.notices().stream(), gone.stream()).toList();
        return new Written(arranged, new Part(part.arrangement(), part.bars(), part.strikes(), notices));
    }

    private static Optional<PlacedGrip> place(Arranged arranged, FillChoiceRequest choice) {
        int part = choice.part() == null ? 0 : choice.part();
        return arranged.arrangement().placements().stream()
                .filter(p ->
                        p.placed().index() == choice.placement() && p.segment().part() == part)
                .findFirst();
    }

    /** @param strings of the guitar */
    record Offered(Fills.Offer offer, int strings) {}

    /** What a place of the part may be filled with. */
    Offered fills(PreviewRequest request, int index) {
        return arrangements.planned(request, () -> offered(request, index));
    }

    private Offered offered(PreviewRequest request, int index) {
        Arranged arranged = arrangements.arranged(request);
        int places = arranged.arrangement().placements().size();
        if (index < 0 || index >= places) {
            throw InputException.field("index", "index must be 0 to " + (places - 1) + ", was " + index + ".");
        }
        return new Offered(
                new Fills(arranged.arrangement(), arranged.settings()).at(index),
                arranged.settings().tuning().size());
    }

    /** Fills that vary what the song repeats, as choices. */
    List<FillChoiceRequest> variation(PreviewRequest request) {
        return arrangements.planned(request, () -> varied(request));
    }

    private List<FillChoiceRequest> varied(PreviewRequest request) {
        Arranged arranged = arrangements.arranged(request);
        return Variation.of(arranged.arrangement(), arranged.settings()).stream()
                .map(fill -> {
                    PlacedGrip placed = arranged.arrangement().placements().get(fill.place());
                    return new FillChoiceRequest(
                            placed.placed().index(), placed.segment().part(), fill.id());
                })
                .toList();
    }

    /**
     * The patterns that fit a section, the best first.
     *
     * @param second who plays beside the first, whose patterns are then ranked
     */
    List<PatternRanking.Fit> patterns(
            PreviewRequest request, Optional<PreviewRequest> second, String section, List<OwnPattern> own) {
        return arrangements.planned(request, () -> ranked(request, second, section, own));
    }

    private List<PatternRanking.Fit> ranked(
            PreviewRequest request, Optional<PreviewRequest> second, String section, List<OwnPattern> own) {
        Arranged arranged = second.map(guitar -> arrangements.arrangedBeside(request, guitar))
                .orElseGet(() -> arrangements.priced(request));
        List<PickingPattern> all = new ArrayList<>(Patterns.all());
        if (own != null) {
            own.forEach(o -> all.add(o.toPattern()));
        }
        return PatternRanking.of(arranged.arrangement(), arranged.settings(), section, all);
    }
}
