package underhand.server.songs;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalInt;
import java.util.TreeMap;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import underhand.accompany.TuneChords;
import underhand.chord.ChordSymbol;
import underhand.format.score.SongFiles;
import underhand.format.text.ChartReading;
import underhand.format.text.ChartTextReader;
import underhand.format.text.TuneText;
import underhand.pitch.Pitch;
import underhand.server.arrangements.ArrangementService;
import underhand.server.arrangements.ArrangementView.FaultView;
import underhand.server.platform.InputException;

/** What is understood of a chart's text, before it is kept. */
@RestController
@RequestMapping("/api/v1/charts")
class ChartController {

    /** Roots of chords that are heard under a tune lie from here up (F2). */
    private static final int LOWEST_ROOT = 41;

    record ChartTextRequest(String source) {}

    /**
     * A stretch of a line and what it was read as.
     *
     * @param kind {@code header}, {@code heading}, {@code chord}, {@code sign} or {@code aside}
     */
    record SpanView(int line, int column, int length, String kind) {}

    /**
     * @param key null where no chord was found
     * @param parts parts of the song, those without chords among them
     * @param chords different chords
     * @param waiting bars of a tune that have no chords
     * @param faults what was not understood or can be read otherwise
     * @param spans what the text is made of
     */
    record ChartView(
            String title,

            @Schema(nullable = true) String key,

            int parts,
            int bars,
            int chords,
            int waiting,
            List<FaultView> faults,
            List<SpanView> spans) {

        static ChartView of(ChartReading reading) {
            boolean empty = reading.chart().placements().isEmpty();
            SongFacts facts = empty ? null : SongFacts.of(reading);
            return new ChartView(
                    reading.chart().title(),
                    empty ? null : facts.key(),
                    reading.chart().parts(),
                    reading.chart().bars(),
                    empty ? 0 : facts.chords(),
                    TuneChords.waiting(reading.chart()),
                    ArrangementService.faults(reading),
                    reading.spans().stream()
                            .map(s -> new SpanView(
                                    s.line(),
                                    s.column(),
                                    s.length(),
                                    s.kind().name().toLowerCase(Locale.ROOT)))
                            .toList());
        }
    }

    /** Reads a text and keeps nothing. */
    @PostMapping("/read")
    ChartView read(@RequestBody ChartTextRequest request) {
        return ChartView.of(ChartTextReader.read(SongService.required(request.source())));
    }

    /**
     * @param from beats from the start of the bar
     * @param midi its tones above its root, close together, to be heard under the tune
     */
    record TuneChordView(String chord, double from, List<Integer> midi) {}

    /**
     * A bar a tune may be written over.
     *
     * @param line of the text its chords stand on, from 1
     * @param from beats from the first bar
     */
    record TuneBarView(int line, double from, double beats, List<TuneChordView> chords) {}

    /**
     * A note of a tune.
     *
     * @param from beats from the first bar
     * @param pitch as it sounds, such as {@code F#4}
     */
    record TunePitchView(double from, double beats, String pitch) {}

    record TuneView(List<TuneBarView> bars, List<TunePitchView> notes) {}

    /** The tune of a text, over all its lines of chords. */
    @PostMapping("/tune")
    TuneView tune(@RequestBody ChartTextRequest request) {
        TuneText tune = TuneText.read(SongService.required(request.source()));
        return new TuneView(
                tune.bars().stream()
                        .map(b -> new TuneBarView(
                                b.line(),
                                b.from(),
                                b.beats(),
                                b.chords().stream()
                                        .map(c -> chord(c.chord(), c.from()))
                                        .toList()))
                        .toList(),
                tune.notes().stream()
                        .map(n ->
                                new TunePitchView(n.from(), n.beats(), n.pitch().toString()))
                        .toList());
    }

    private static TuneChordView chord(ChordSymbol chord, double from) {
        int root = LOWEST_ROOT + Math.floorMod(chord.root().pitchClass() - LOWEST_ROOT, 12);
        List<Integer> midi =
                chord.tones().stream().map(t -> root + t.interval().semitones()).toList();
        return new TuneChordView(chord.glyphs(), from, midi);
    }

    record TuneRequest(String source, List<TunePitchView> notes) {}

    record TuneTextView(String source) {}

    /** The same text with another tune; keeps nothing. */
    @PostMapping("/tune/write")
    TuneTextView writeTune(@RequestBody TuneRequest request) {
        List<TunePitchView> sent = request.notes();
        if (sent == null || sent.stream().anyMatch(n -> n.pitch() == null)) {
            throw InputException.field(
                    "notes",
                    "notes is missing, or a note has no pitch; send {\"from\":0,\"beats\":1,\"pitch\":\"E4\"} for each,"
                            + " none for no tune.");
        }
        List<TuneText.Note> notes = sent.stream()
                .map(n -> new TuneText.Note(n.from(), n.beats(), Pitch.parse(n.pitch())))
                .toList();
        return new TuneTextView(
                TuneText.read(SongService.required(request.source())).with(notes));
    }

    /** @param bars 1 to 16; null for four */
    record IntroRequest(
            String source, @Schema(nullable = true) Integer bars) {}

    /** The text with the tune's last bars before it, without their words; keeps nothing. */
    @PostMapping("/intro")
    TuneTextView intro(@RequestBody IntroRequest request) {
        return new TuneTextView(TuneText.withIntro(
                SongService.required(request.source()),
                request.bars() == null ? OptionalInt.empty() : OptionalInt.of(request.bars())));
    }

    /**
     * @param chosen chords by the number of their bar, from 1; null for none
     */
    record TuneChordsRequest(
            String source, @Schema(nullable = true) Map<Integer, String> chosen) {}

    /** @param reason its degree in the key, what of the bar's tune it holds, where it leads */
    record ProposedChordView(String chord, String glyphs, String reason) {}

    /**
     * A bar that has no chords.
     *
     * @param bar number in the song, from 1
     * @param section name of its part; may be blank
     * @param chord what it gets: what was chosen, else the first proposal
     * @param chosen whether it was chosen
     * @param proposals three, the best first
     */
    record ChordOfferView(int bar, String section, String chord, boolean chosen, List<ProposedChordView> proposals) {}

    /**
     * @param key as the chart states it, else as the tune has it
     * @param source the text with the chords in it
     */
    record TuneChordsView(String key, List<ChordOfferView> bars, String source) {}

    /** Chords for the bars of a tune that have none; keeps nothing. */
    @PostMapping("/chords")
    TuneChordsView chords(@RequestBody TuneChordsRequest request) {
        Map<Integer, ChordSymbol> chosen = new TreeMap<>();
        if (request.chosen() != null) {
            request.chosen().forEach((bar, chord) -> chosen.put(bar, ChordSymbol.parse(chord)));
        }
        TuneChords chords = TuneChords.of(
                ChartTextReader.read(SongService.required(request.source())).chart(), chosen);
        return new TuneChordsView(
                chords.key().glyphs(),
                chords.offers().stream().map(ChartController::offer).toList(),
                SongFiles.chartText(chords.accompanied()));
    }

    private static ChordOfferView offer(TuneChords.Offer offer) {
        return new ChordOfferView(
                offer.bar(),
                offer.section(),
                offer.chord().toString(),
                offer.chosen().isPresent(),
                offer.proposals().stream()
                        .map(p -> new ProposedChordView(
                                p.chord().toString(), p.chord().glyphs(), p.reason()))
                        .toList());
    }
}
