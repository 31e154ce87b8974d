package underhand.server.arrangements;

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
import underhand.arrange.VoiceRange;
import underhand.hand.Rung;
import underhand.pitch.Pitch;
import underhand.server.arrangements.ArrangementView.AlternativeView;
import underhand.server.arrangements.ArrangementView.CandidateView;
import underhand.server.platform.InputException;

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
     */
    @PostMapping("/arrangements/preview")
    ArrangementView preview(
            @RequestBody PreviewRequest request,
            @RequestParam(defaultValue = "8") int alternatives,
            @RequestParam(defaultValue = "all") String capos) {
        if (!capos.equals("all") && !capos.equals("asked")) {
            throw InputException.field("capos", "capos must be all or asked, was \"" + capos + "\".");
        }
        if (alternatives < 0 || alternatives > MOST_ALTERNATIVES) {
            throw InputException.field(
                    "alternatives", "alternatives must be 0 to " + MOST_ALTERNATIVES + ", was " + alternatives + ".");
        }
        return service.planned(request, () -> service.preview(request, alternatives, capos.equals("asked")));
    }

    /** @param index place in the part, from 0 */
    record AlternativesRequest(PreviewRequest song, int index) {}

    @PostMapping("/arrangements/alternatives")
    List<AlternativeView> alternatives(@RequestBody AlternativesRequest request) {
        PreviewRequest song = song(request.song());
        return service.planned(song, () -> service.alternatives(song, request.index()));
    }

    /** Lowest and highest note, such as A3 and D5. */
    record RangeRequest(String lowest, String highest) {

        private VoiceRange toRange() {
            if (lowest == null || highest == null) {
                throw InputException.field(
                        "range", "A range names its lowest and its highest note, such as A3 and D5.");
            }
            return new VoiceRange(Pitch.parse(lowest), Pitch.parse(highest));
        }
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
        PreviewRequest song = song(request.song());
        return service.planned(song, () -> service.keys(song, singing)).stream()
                .map(o -> new KeyView(
                        o.semitones(), o.tuneMove(), o.key().glyphs(), ArrangementMapper.candidate(o.capo())))
                .toList();
    }

    private static PreviewRequest song(PreviewRequest song) {
        if (song == null) {
            throw InputException.field("song", "song is missing; send what a preview takes.");
        }
        return song;
    }

    /** @param placement place in the chart, from 0 */
    record ReadingsRequest(PreviewRequest song, int placement) {}

    @PostMapping("/arrangements/readings")
    ReadingsView readings(@RequestBody ReadingsRequest request) {
        PreviewRequest song = song(request.song());
        return service.planned(song, () -> service.readings(song, request.placement()));
    }

    /** @param section number of a section from 0; the whole song when missing */
    record LadderRequest(
            PreviewRequest song, @Schema(nullable = true) Integer section) {}

    @PostMapping("/arrangements/rungs")
    List<RungStepView> ladder(@RequestBody LadderRequest request) {
        PreviewRequest song = song(request.song());
        return service.planned(song, () -> service.rungs(song, request.section()));
    }

    /** @param second who plays beside the first, on what; its chart is the first one's */
    record SecondRequest(PreviewRequest first, PreviewRequest second) {}

    @PostMapping("/arrangements/second")
    SecondView second(@RequestBody SecondRequest request) {
        PreviewRequest first = song(request.first());
        PreviewRequest second = song(request.second());
        return service.planned(first, () -> service.second(first, second));
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
