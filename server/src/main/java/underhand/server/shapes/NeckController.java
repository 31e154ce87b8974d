package underhand.server.shapes;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import underhand.chord.ChordNamer;
import underhand.chord.ChordSymbol;
import underhand.desk.Desk;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.neck.Fretboard;
import underhand.neck.Guitar;
import underhand.neck.Shape;
import underhand.neck.Tuning;
import underhand.neckmap.NeckMap;
import underhand.pitch.Pitch;
import underhand.server.planning.Planning;
import underhand.server.planning.Planning.Size;
import underhand.server.platform.InputException;
import underhand.server.players.PlayerService;

/** The neck map: where chords and scales lie, in any tuning. Nothing is stored. */
@RestController
@RequestMapping("/api/v1/neck")
class NeckController {

    private static final int DEFAULT_RUNG = 3;
    private static final int MOST_CHORDS = 60;

    /** Frets a hand reaches from a place. */
    private static final int REACH = 4;

    private final PlayerService players;
    private final Planning planning;

    NeckController(PlayerService players, Planning planning) {
        this.players = players;
        this.planning = planning;
    }

    /**
     * @param name what players call it
     * @param strings from the lowest
     * @param open the chord of the open strings; blank where they have no name
     */
    record TuningView(String name, String strings, String open) {}

    @GetMapping("/tunings")
    List<TuningView> tunings() {
        return Tuning.named().entrySet().stream()
                .map(named -> new TuningView(named.getKey(), named.getValue().toString(), openChord(named.getValue())))
                .toList();
    }

    private static String openChord(Tuning tuning) {
        Fretboard board = new Fretboard(Guitar.ACOUSTIC, tuning, 0);
        Shape open = Shape.of(IntStream.range(0, tuning.size()).map(s -> 0).toArray());
        return ChordNamer.names(open.pitches(board), Optional.empty()).stream()
                .findFirst()
                .map(n -> n.symbol().glyphs())
                .orElse("");
    }

    @GetMapping("/scales")
    List<String> scales() {
        return NeckMap.scales();
    }

    /**
     * @param chord what to show; or {@code root} and {@code scale}
     * @param fret where a line of notes is wanted; none when missing
     */
    record MapRequest(
            @Schema(nullable = true) String chord,
            @Schema(nullable = true) String root,
            @Schema(nullable = true) String scale,
            String tuning,
            Integer capo,
            @Schema(nullable = true) Integer fret,
            @Schema(nullable = true) Long playerId) {}

    record MapToneView(String note, String degree) {}

    /** @param string from the highest as 1 */
    record DotView(int string, int fret, String note, String degree, boolean root) {}

    /** @param finger 1 to 4, 0 for an open string */
    record StopView(int string, int fret, int midi, String note, String degree, int finger) {}

    record PositionView(String label, int fret) {}

    /** @param grip the easiest fingering; null where no hand holds the shape */
    record MapShapeView(
            String shape, @Schema(nullable = true) GripView grip) {}

    /** Shapes are null where the form has none of this quality. */
    record FormView(
            String form,
            int fret,
            @Schema(nullable = true) MapShapeView whole,
            @Schema(nullable = true) MapShapeView lower,
            @Schema(nullable = true) MapShapeView upper) {}

    /** @param strings their numbers, such as 321; @param inversion which tone is lowest, the root as 0 */
    record TriadView(String strings, int inversion, MapShapeView shape) {}

    record MapView(
            String name,
            List<OpenStringOfMapView> strings,
            int neckFrets,
            List<MapToneView> tones,
            List<DotView> dots,
            List<PositionView> positions,
            List<StopView> line,
            List<FormView> forms,
            List<TriadView> triads) {}

    record OpenStringOfMapView(String note, int midi) {}

    @PostMapping("/map")
    MapView map(@RequestBody MapRequest request) {
        NeckMap map = neckMap(request.tuning(), request.capo(), request.playerId());
        Optional<ChordSymbol> chord = Optional.ofNullable(request.chord())
                .filter(text -> !text.isBlank())
                .map(ChordSymbol::parse);
        if (chord.isEmpty() && (request.root() == null || request.scale() == null)) {
            throw InputException.field("chord", "Send a chord, or a root and a scale.");
        }
        Integer fret = request.fret();
        if (fret != null && (fret < 0 || fret > map.board().frets())) {
            throw InputException.field(
                    "fret", "fret must be 0 to " + map.board().frets() + ", was " + fret + ".");
        }
        OptionalInt at = fret == null ? OptionalInt.empty() : OptionalInt.of(fret);
        return planning.answer(
                Size.SMALL,
                () -> view(
                        map,
                        chord,
                        chord.map(c -> map.of(c, at)).orElseGet(() -> map.of(request.root(), request.scale(), at))));
    }

    private static MapView view(NeckMap map, Optional<ChordSymbol> chord, NeckMap.Layout layout) {
        int strings = map.board().strings();
        return new MapView(
                layout.name(),
                IntStream.range(0, strings)
                        .mapToObj(s -> Pitch.ofMidi(map.board().midi(s, 0)))
                        .map(p -> new OpenStringOfMapView(p.toString(), p.midi()))
                        .toList(),
                map.board().frets(),
                layout.tones().stream()
                        .map(t -> new MapToneView(t.note().glyphs(), t.degree()))
                        .toList(),
                layout.dots().stream()
                        .map(d -> new DotView(
                                strings - d.string(),
                                d.fret(),
                                d.tone().note().glyphs(),
                                d.tone().degree(),
                                d.isRoot()))
                        .toList(),
                layout.positions().stream()
                        .map(p -> new PositionView(p.label(), p.fret()))
                        .toList(),
                layout.line().stream()
                        .map(s -> new StopView(
                                strings - s.dot().string(),
                                s.dot().fret(),
                                s.dot().midi(),
                                s.dot().tone().note().glyphs(),
                                s.dot().tone().degree(),
                                s.finger()))
                        .toList(),
                chord.map(c -> forms(map, layout, c)).orElse(List.of()),
                chord.map(c -> triads(map, layout, c)).orElse(List.of()));
    }

    private static List<FormView> forms(NeckMap map, NeckMap.Layout layout, ChordSymbol chord) {
        return layout.forms().stream()
                .map(f -> new FormView(
                        f.form(),
                        f.fret(),
                        f.whole().map(s -> shape(map, s, chord)).orElse(null),
                        f.lower().map(s -> shape(map, s, chord)).orElse(null),
                        f.upper().map(s -> shape(map, s, chord)).orElse(null)))
                .toList();
    }

    private static List<TriadView> triads(NeckMap map, NeckMap.Layout layout, ChordSymbol chord) {
        int strings = map.board().strings();
        return layout.triads().stream()
                .map(t -> new TriadView(
                        "" + (strings - t.low()) + (strings - t.low() - 1) + (strings - t.low() - 2),
                        t.inversion(),
                        shape(map, t.shape(), chord)))
                .toList();
    }

    private static MapShapeView shape(NeckMap map, Shape shape, ChordSymbol chord) {
        return new MapShapeView(
                shape.toString(),
                new Desk(map.board(), map.player())
                        .grips(shape).stream()
                                .findFirst()
                                .map(g -> GripView.of(g, chord, map.board()))
                                .orElse(null));
    }

    /** @param form E with the root on string 6, A on string 5; the shape has its barre at the first fret */
    record BarreShapeView(String quality, String form, MapShapeView shape) {}

    /** @param names the roots on the two lowest strings at a fret, the lowest string's first */
    record BarreRootsView(int fret, List<String> names) {}

    record BarresView(List<BarreShapeView> shapes, List<BarreRootsView> roots) {}

    @GetMapping("/barres")
    BarresView barres(@RequestParam(required = false) String tuning, @RequestParam(required = false) Integer capo) {
        NeckMap map = neckMap(tuning, capo, null);
        return planning.answer(
                Size.SMALL,
                () -> new BarresView(
                        map.barres().stream()
                                .map(b -> new BarreShapeView(
                                        b.quality(),
                                        b.form(),
                                        shape(map, b.shape(), ChordSymbol.parse("C" + b.quality()))))
                                .toList(),
                        IntStream.rangeClosed(1, 12)
                                .mapToObj(fret -> new BarreRootsView(fret, map.barreRoots(fret)))
                                .toList()));
    }

    /**
     * @param chords those of a song
     * @param key such as {@code A} or {@code F#m}
     * @param fret where all of them are looked for, four frets on; none when missing
     */
    record PlaceRequest(
            List<String> chords,
            String key,
            @Schema(nullable = true) Integer fret,
            String tuning,
            Integer capo,
            Integer rung,
            @Schema(nullable = true) Long playerId) {}

    record WatchView(String plays, String insteadOf) {}

    record ServingView(String name, List<String> notes, List<WatchView> watch) {}

    /** @param grip at the place asked for; null where there is none */
    record SongChordView(
            String chord,
            List<ServingView> scales,
            @Schema(nullable = true) GripView grip) {}

    record SongMapView(List<SongChordView> chords) {}

    @PostMapping("/chords")
    SongMapView chords(@RequestBody PlaceRequest request) {
        NeckMap map = neckMap(request.tuning(), request.capo(), request.playerId());
        List<String> names = request.chords() == null ? List.of() : request.chords();
        if (names.isEmpty() || names.size() > MOST_CHORDS) {
            throw InputException.field("chords", "chords must be 1 to " + MOST_CHORDS + " chord symbols.");
        }
        if (request.key() == null) {
            throw InputException.field("key", "key is missing; send the song's, such as \"G\" or \"Am\".");
        }
        Rung rung = Rung.of(request.rung() == null ? DEFAULT_RUNG : request.rung());
        Integer fret = request.fret();
        if (fret != null && (fret < 1 || fret > map.board().frets())) {
            throw InputException.field(
                    "fret", "fret must be 1 to " + map.board().frets() + ", was " + fret + ".");
        }
        List<ChordSymbol> chords = names.stream().map(ChordSymbol::parse).toList();
        return planning.answer(
                Size.LARGE,
                () -> new SongMapView(chords.stream()
                        .map(chord -> new SongChordView(
                                chord.glyphs(),
                                map.serving(chord, request.key()).stream()
                                        .map(NeckController::serving)
                                        .toList(),
                                fret == null
                                        ? null
                                        : map.at(chord, fret, fret + REACH, rung)
                                                .map(g -> GripView.of(g, chord, map.board()))
                                                .orElse(null)))
                        .toList()));
    }

    private static ServingView serving(NeckMap.Serving serving) {
        return new ServingView(
                serving.name(),
                serving.notes().stream().map(n -> n.glyphs()).toList(),
                serving.watch().stream()
                        .map(w ->
                                new WatchView(w.plays().glyphs(), w.insteadOf().glyphs()))
                        .toList());
    }

    private NeckMap neckMap(String tuning, Integer capo, Long playerId) {
        Player player = playerId == null ? Player.ADULT : players.hand(playerId);
        return new NeckMap(ShapeInput.board(tuning, capo), player);
    }
}
