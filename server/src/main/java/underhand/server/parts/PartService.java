package underhand.server.parts;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import underhand.arrange.PatternRanking;
import underhand.fill.Fill;
import underhand.fill.Fills;
import underhand.fill.Variation;
import underhand.format.score.Handedness;
import underhand.format.score.ScoredPart;
import underhand.neck.Guitar;
import underhand.part.Part;
import underhand.picking.Patterns;
import underhand.picking.PickingPattern;
import underhand.server.arrangements.ArrangementService;
import underhand.server.arrangements.ArrangementService.Arranged;
import underhand.server.arrangements.FillChoiceRequest;
import underhand.server.arrangements.PatternChoiceRequest.OwnPattern;
import underhand.server.arrangements.PreviewRequest;
import underhand.server.arrangements.Task;
import underhand.server.platform.InputException;
import underhand.server.players.Seat;
import underhand.settings.ArrangementSettings;
import underhand.solve.PlacedGrip;

/** Makes parts of arrangements, and says what patterns and fills they may have. */
@Service
public class PartService {

    private final ArrangementService arrangements;

    PartService(ArrangementService arrangements) {
        this.arrangements = arrangements;
    }

    /** A part with what it was arranged from, and who plays it. */
    public record Written(Arranged arranged, Part part, Seat seat) {

        /** As the API gives it. */
        public PartView view() {
            return PartMapper.view(part);
        }

        /** As it is printed and played from a file, under a guitar's name. */
        public ScoredPart scored(String name) {
            ArrangementSettings settings = part.arrangement().settings();
            return new ScoredPart(
                    name,
                    part,
                    settings.tuning(),
                    settings.guitar().kind() == Guitar.Kind.NYLON,
                    Handedness.of(seat.leftHanded()),
                    arranged.chart().words());
        }
    }

    public Written part(PreviewRequest request) {
        Task task = arrangements.task(request);
        return arrangements.planned(task, () -> written(arrangements.arranged(task), request.fills(), task.seat()));
    }

    /** The part of the second guitar beside the first. */
    public Written second(PreviewRequest request) {
        Task task = arrangements.task(request);
        return arrangements.planned(
                task,
                () -> written(
                        arrangements.arrangedBeside(task),
                        List.of(),
                        task.second().orElseThrow().seat()));
    }

    /** The fills of a part that still fit. */
    public static List<Fill> fills(Arranged arranged, List<FillChoiceRequest> choices) {
        return chosen(arranged, choices, new ArrayList<>());
    }

    private static Written written(Arranged arranged, List<FillChoiceRequest> choices, Seat seat) {
        List<String> gone = new ArrayList<>();
        List<Fill> chosen = chosen(arranged, choices, gone);
        Part part = Part.of(arranged.arrangement(), chosen);
        List<String> notices =
                Stream.concat(part.notices().stream(), gone.stream()).toList();
        return new Written(arranged, new Part(part.arrangement(), part.bars(), part.strikes(), notices), seat);
    }

    /** @param gone takes what is said of those that fit no more */
    private static List<Fill> chosen(Arranged arranged, List<FillChoiceRequest> choices, List<String> gone) {
        Fills fills = new Fills(arranged.arrangement());
        List<Fill> chosen = new ArrayList<>();
        for (FillChoiceRequest choice : choices == null ? List.<FillChoiceRequest>of() : choices) {
            choice.check();
            place(arranged, choice)
                    .flatMap(p -> fills.named(p.index(), choice.fill()))
                    .ifPresentOrElse(
                            chosen::add,
                            () -> gone.add("The fill at placement " + (choice.placement() + 1)
                                    + " does not fit any more and is left out."));
        }
        return chosen;
    }

    private static Optional<PlacedGrip> place(Arranged arranged, FillChoiceRequest choice) {
        int part = choice.part() == null ? 0 : choice.part();
        return arranged.arrangement().placements().stream()
                .filter(p ->
                        p.slot().index() == choice.placement() && p.segment().part() == part)
                .findFirst();
    }

    /** @param strings of the guitar */
    record Offered(Fills.Offer offer, int strings) {}

    /** What a place of the part may be filled with. */
    Offered fills(PreviewRequest request, int index) {
        Task task = arrangements.task(request);
        return arrangements.planned(task, () -> offered(task, index));
    }

    private Offered offered(Task task, int index) {
        Arranged arranged = arrangements.arranged(task);
        int places = arranged.arrangement().placements().size();
        if (index < 0 || index >= places) {
            throw InputException.field("index", "index must be 0 to " + (places - 1) + ", was " + index + ".");
        }
        return new Offered(
                new Fills(arranged.arrangement()).at(index),
                arranged.arrangement().settings().tuning().size());
    }

    /** Fills that vary what the song repeats, as choices. */
    List<FillChoiceRequest> variation(PreviewRequest request) {
        Task task = arrangements.task(request);
        return arrangements.planned(task, () -> varied(task));
    }

    private List<FillChoiceRequest> varied(Task task) {
        Arranged arranged = arrangements.arranged(task);
        return Variation.of(arranged.arrangement()).stream()
                .map(fill -> {
                    PlacedGrip placed = arranged.arrangement().placements().get(fill.place());
                    return new FillChoiceRequest(
                            placed.slot().index(), placed.segment().part(), fill.id());
                })
                .toList();
    }

    /**
     * The patterns that fit a section, the best first.
     *
     * @param second whether the patterns are the second guitar's
     */
    List<PatternRanking.Fit> patterns(PreviewRequest request, boolean second, String section, List<OwnPattern> own) {
        Task task = arrangements.task(request);
        return arrangements.planned(task, () -> ranked(task, second, section, own));
    }

    private List<PatternRanking.Fit> ranked(Task task, boolean second, String section, List<OwnPattern> own) {
        Arranged arranged = second ? arrangements.arrangedBeside(task) : arrangements.priced(task);
        List<PickingPattern> all = new ArrayList<>(Patterns.all());
        if (own != null) {
            own.forEach(o -> all.add(o.toPattern()));
        }
        return PatternRanking.of(arranged.arrangement(), section, all);
    }
}
