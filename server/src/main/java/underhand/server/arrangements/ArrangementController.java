package underhand.server.arrangements;

import com.fasterxml.jackson.databind.JsonNode;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import underhand.arrange.KeySweep;
import underhand.hand.Rung;
import underhand.neck.Tuning;
import underhand.server.arrangements.ArrangementView.AlternativeView;
import underhand.server.arrangements.ArrangementView.CandidateView;
import underhand.server.platform.InputException;
import underhand.server.shapes.GripView;
import underhand.server.shapes.ShapeInput;
import underhand.settings.Lock;

/** Arranges a chart without storing anything. */
@RestController
@RequestMapping("/api/v1")
class ArrangementController {

    private static final int MOST_ALTERNATIVES = 100;

    private final ArrangementService service;

    ArrangementController(ArrangementService service) {
        this.service = service;
    }

    /**
     * @param alternatives how many other grips come with each place
     * @param capos {@code asked} when the capo asked for need not wait until the other frets are compared with it
     * @param meanwhile where the capo may sit until they are, if it is left open
     */
    @PostMapping("/arrangements/preview")
    ArrangementView preview(
            @RequestBody PreviewRequest request,
            @RequestParam(defaultValue = "8") int alternatives,
            @RequestParam(defaultValue = "all") String capos,
            @RequestParam(defaultValue = "0") int meanwhile) {
        if (!capos.equals("all") && !capos.equals("asked")) {
            throw InputException.field("capos", "capos must be all or asked, was \"" + capos + "\".");
        }
        checkAlternatives(alternatives);
        Task task = service.task(request);
        return service.planned(
                task,
                () -> capos.equals("asked")
                        ? service.meanwhile(task, alternatives, meanwhile)
                        : service.preview(task, alternatives));
    }

    /**
     * Arranges a chart with its tune on top, without storing anything.
     *
     * @param alternatives how many other grips come with each place
     */
    @PostMapping("/solos/preview")
    ArrangementView solo(@RequestBody PreviewRequest request, @RequestParam(defaultValue = "8") int alternatives) {
        checkAlternatives(alternatives);
        Task task = service.task(request == null ? null : request.onTop());
        service.checkTune(task);
        return service.planned(task, () -> service.preview(task, alternatives));
    }

    private static void checkAlternatives(int alternatives) {
        if (alternatives < 0 || alternatives > MOST_ALTERNATIVES) {
            throw InputException.field(
                    "alternatives", "alternatives must be 0 to " + MOST_ALTERNATIVES + ", was " + alternatives + ".");
        }
    }

    /** @param index place in the part, from 0 */
    record AlternativesRequest(PreviewRequest song, int index) {}

    /**
     * @param index place in the part, from 0
     * @param frets the shape, counted from the capo
     * @param fingers the player's own; the planner's when missing
     */
    record TrialRequest(
            PreviewRequest song,
            int index,

            @Schema(type = "string", example = "x-7-6-8-x-x")
            JsonNode frets,

            @Schema(type = "string", example = "-213--", nullable = true)
            JsonNode fingers) {}

    /**
     * A shape before it is taken.
     *
     * @param names what it is called above the capo, the best name first
     * @param grip null when no hand holds it
     * @param price how much dearer the whole song becomes with it
     * @param word what is to be said of taking it; blank where nothing is
     */
    record TrialView(
            List<String> names, @Schema(nullable = true) GripView grip, double price, String word) {}

    /** Tries a shape at a place of the part. */
    @PostMapping("/arrangements/trial")
    TrialView trial(@RequestBody TrialRequest request) {
        Task task = service.task(request.song());
        Lock.OneShape shape = new Lock.OneShape(
                ShapeInput.read("frets", request.frets()), ShapeInput.fingers("fingers", request.fingers()));
        return service.planned(task, () -> service.trial(task, request.index(), shape));
    }

    /** Other fingers for the shape that is played at a place. */
    @PostMapping("/arrangements/fingerings")
    List<AlternativeView> fingerings(@RequestBody AlternativesRequest request) {
        Task task = service.task(request.song());
        return service.planned(task, () -> service.fingerings(task, request.index()));
    }

    /** Other shapes for the chord at a place. */
    @PostMapping("/arrangements/alternatives")
    List<AlternativeView> alternatives(@RequestBody AlternativesRequest request) {
        Task task = service.task(request.song());
        return service.planned(task, () -> service.alternatives(task, request.index()));
    }

    /**
     * @param tune range of the tune as the chart has it
     * @param voice range of the singer; both missing when every key will do
     */
    record KeysRequest(PreviewRequest song, RangeRequest tune, RangeRequest voice) {}

    /** @param tuneMove semitones the tune moves by, octaves included */
    record KeyView(int semitones, int tuneMove, String key, CandidateView capo) {}

    @PostMapping("/arrangements/keys")
    List<KeyView> keys(@RequestBody KeysRequest request) {
        if ((request.tune() == null) != (request.voice() == null)) {
            throw InputException.field("voice", "Send the range of the tune and of the voice, or neither.");
        }
        Optional<KeySweep.Singing> singing = Optional.ofNullable(request.tune())
                .map(tune ->
                        new KeySweep.Singing(tune.toRange(), request.voice().toRange()));
        Task task = service.task(request.song());
        return service.planned(task, () -> service.keys(task, singing)).stream()
                .map(o -> new KeyView(
                        o.semitones(), o.tuneMove(), o.key().glyphs(), ArrangementMapper.candidate(o.capo())))
                .toList();
    }

    /** @param tunings names or strings of those the player accepts; the song's own is compared too */
    record TuningsRequest(PreviewRequest song, List<String> tunings) {}

    /** @param string from the highest as 1; @param cents higher than now, lower where below 0 */
    record RetunedView(int string, int cents) {}

    /**
     * @param name the tuning's common name; its strings where it has none
     * @param now whether it is what the song is played in
     * @param raises whether a string is tuned higher than it is now
     */
    record TuningOptionView(
            String name, String strings, boolean now, CandidateView capo, List<RetunedView> retuned, boolean raises) {}

    /** The song in other tunings, least effort first. */
    @PostMapping("/arrangements/tunings")
    List<TuningOptionView> tunings(@RequestBody TuningsRequest request) {
        Task task = service.task(request.song());
        List<Tuning> tunings = service.tunings(task, request.tunings());
        return service.planned(task, () -> service.inTunings(task, tunings)).stream()
                .map(o -> new TuningOptionView(
                        o.tuning().name().orElseGet(() -> o.tuning().toString()),
                        o.tuning().toString(),
                        o.tuning().equals(task.settings().tuning()),
                        ArrangementMapper.candidate(o.capo()),
                        o.retuned().stream()
                                .map(r -> new RetunedView(o.tuning().size() - r.string(), r.cents()))
                                .toList(),
                        o.raises()))
                .toList();
    }

    /** @param placement place in the chart, from 0 */
    record ReadingsRequest(PreviewRequest song, int placement) {}

    @PostMapping("/arrangements/readings")
    ReadingsView readings(@RequestBody ReadingsRequest request) {
        Task task = service.task(request.song());
        return service.planned(task, () -> service.readings(task, request.placement()));
    }

    /** @param section number of a section from 0; the whole song when missing */
    record LadderRequest(
            PreviewRequest song, @Schema(nullable = true) Integer section) {}

    @PostMapping("/arrangements/rungs")
    List<RungStepView> ladder(@RequestBody LadderRequest request) {
        Task task = service.task(request.song());
        return service.planned(task, () -> service.rungs(task, request.section()));
    }

    /** @param song with its second guitar */
    record SecondRequest(PreviewRequest song) {}

    @PostMapping("/arrangements/second")
    SecondView second(@RequestBody SecondRequest request) {
        Task task = service.task(request.song());
        return service.planned(task, () -> service.second(task));
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
