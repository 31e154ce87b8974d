package underhand.server.shapes;

import com.fasterxml.jackson.databind.JsonNode;
import io.swagger.v3.oas.annotations.media.ArraySchema;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import underhand.chord.ChordNamer;
import underhand.chord.ChordSymbol;
import underhand.desk.Desk;
import underhand.desk.Desk.Moved;
import underhand.hand.Grip;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.neck.Shape;
import underhand.neck.Tuning;
import underhand.pitch.Pitch;
import underhand.server.planning.Planning;
import underhand.server.planning.Planning.Size;
import underhand.server.platform.InputException;
import underhand.server.players.PlayerService;

/** The shape desk: what a shape is, what lies near it, where else it is. Nothing is stored. */
@RestController
@RequestMapping("/api/v1/shapes")
class DeskController {

    private static final int WAYS = 6;
    private static final int MOST_WAYS = 50;
    private static final int DEFAULT_RUNG = 3;

    private final PlayerService players;
    private final Planning planning;

    DeskController(PlayerService players, Planning planning) {
        this.players = players;
        this.planning = planning;
    }

    /**
     * @param key such as {@code G} or {@code Am}: chords all of whose notes are in it come first
     * @param fingers how many may move, 1 or 2; 1 when missing
     */
    record NeighboursRequest(
            @Schema(type = "string", example = "x7577x") JsonNode frets,
            String tuning,
            Integer capo,
            @Schema(nullable = true) String key,
            @Schema(nullable = true) Long playerId,
            @Schema(nullable = true) Integer fingers) {}

    /**
     * @param string from the highest as 1
     * @param from fret before, null for silence
     * @param to fret after
     */
    record MovedView(
            int string,
            @Schema(nullable = true) Integer from,
            @Schema(nullable = true) Integer to) {}

    /** @param kept strings that sound as before */
    record NeighbourView(
            String shape,

            @ArraySchema(schema = @Schema(nullable = true, type = "integer"))
            List<Integer> frets,

            List<NameView> names,
            List<MovedView> moved,
            int kept,
            boolean inKey) {}

    record NeighboursView(List<NeighbourView> neighbours) {}

    @PostMapping("/neighbours")
    NeighboursView neighbours(@RequestBody NeighboursRequest request) {
        Desk desk = desk(request.tuning(), request.capo(), request.playerId());
        Shape shape = shape(request.frets(), desk);
        Optional<String> key = Optional.ofNullable(request.key()).filter(k -> !k.isBlank());
        int fingers = request.fingers() == null ? 1 : request.fingers();
        if (fingers != 1 && fingers != 2) {
            throw InputException.field("fingers", "fingers must be 1 or 2, was " + fingers + ".");
        }
        List<Desk.Neighbour> near = planning.answer(size(desk, fingers), () -> desk.near(shape, key, fingers));
        return new NeighboursView(near.stream()
                .map(n -> new NeighbourView(
                        n.shape().toString(),
                        GripView.frets(n.shape()),
                        n.names().stream().map(NameView::of).toList(),
                        n.moved().stream().map(m -> moved(m, shape.strings())).toList(),
                        n.kept(),
                        n.inKey()))
                .toList());
    }

    private static MovedView moved(Moved moved, int strings) {
        return new MovedView(
                strings - moved.string(),
                moved.from() == Shape.SILENT ? null : moved.from(),
                moved.to() == Shape.SILENT ? null : moved.to());
    }

    record DeskRequest(
            @Schema(type = "string", example = "x7577x") JsonNode frets,
            String tuning,
            Integer capo,
            @Schema(nullable = true) Long playerId) {}

    /**
     * A name with what each string is in it.
     *
     * @param missing degrees of it that do not sound
     * @param degrees from the lowest string, blank where it is silent
     */
    record DegreesView(String symbol, List<String> missing, List<String> degrees) {}

    record OpenStringView(String note, int midi) {}

    /** @param symbol the best name with the bass played by somebody else */
    record OverBassView(String bass, String symbol) {}

    /** @param name the best name; blank where it has none */
    record ElsewhereView(
            String shape,

            @ArraySchema(schema = @Schema(nullable = true, type = "integer"))
            List<Integer> frets,

            String name) {}

    /**
     * What is known of a shape.
     *
     * @param strings the open strings above the capo, the lowest first
     * @param neckFrets frets above the capo
     * @param names the best first; none for a single note
     * @param overBass over each of the twelve basses
     * @param grips every fingering, the easiest first; none where no hand holds it
     * @param sameNotes other places of the same pitches
     * @param sameGrip the same fingers at other frets, and on the strings beside
     */
    record DeskView(
            String shape,
            List<OpenStringView> strings,
            int neckFrets,
            List<DegreesView> names,
            List<OverBassView> overBass,
            List<GripView> grips,
            List<ElsewhereView> sameNotes,
            List<ElsewhereView> sameGrip) {}

    @PostMapping("/desk")
    DeskView look(@RequestBody DeskRequest request) {
        Desk desk = desk(request.tuning(), request.capo(), request.playerId());
        Shape shape = shape(request.frets(), desk);
        return planning.answer(Size.SMALL, () -> look(desk, shape));
    }

    private static DeskView look(Desk desk, Shape shape) {
        List<ChordNamer.Name> names = desk.names(shape);
        return new DeskView(
                shape.toString(),
                IntStream.range(0, shape.strings())
                        .mapToObj(s -> Pitch.ofMidi(desk.board().midi(s, 0)))
                        .map(p -> new OpenStringView(p.toString(), p.midi()))
                        .toList(),
                desk.board().frets(),
                names.stream()
                        .map(n -> new DegreesView(
                                n.symbol().glyphs(),
                                n.missing().stream().map(i -> i.degree()).toList(),
                                desk.degrees(shape, n.symbol())))
                        .toList(),
                desk.overEachBass(shape).stream()
                        .map(o -> new OverBassView(o.bass(), o.symbol()))
                        .toList(),
                names.stream()
                        .findFirst()
                        .map(name -> desk.grips(shape).stream()
                                .map(g -> GripView.of(g, name.symbol(), desk.board()))
                                .toList())
                        .orElse(List.of()),
                desk.sameNotes(shape).stream().map(s -> elsewhere(desk, s)).toList(),
                desk.sameGrip(shape).stream().map(s -> elsewhere(desk, s)).toList());
    }

    private static ElsewhereView elsewhere(Desk desk, Shape shape) {
        String name = desk.names(shape).stream()
                .findFirst()
                .map(n -> n.symbol().glyphs())
                .orElse("");
        return new ElsewhereView(shape.toString(), GripView.frets(shape), name);
    }

    record KindsRequest(
            String chord,
            String tuning,
            Integer capo,
            @Schema(nullable = true) Long playerId) {}

    /** @param inversion which tone of the chord is lowest, the root as 0 */
    record InvertedView(
            String shape,

            @ArraySchema(schema = @Schema(nullable = true, type = "integer"))
            List<Integer> frets,

            int inversion) {}

    /** @param strings the numbers of the strings the shapes sound on; blank for families on any strings */
    record KindView(String family, String strings, List<InvertedView> shapes) {}

    record KindsView(String chord, List<KindView> kinds) {}

    /** A chord all over the neck, by how its shapes are built. */
    @PostMapping("/kinds")
    KindsView kinds(@RequestBody KindsRequest request) {
        Desk desk = desk(request.tuning(), request.capo(), request.playerId());
        ChordSymbol chord = chord(request.chord(), "say which, such as \"Am7\"");
        List<Desk.Kind> kinds = planning.answer(size(desk, 1), () -> desk.kinds(chord));
        return new KindsView(
                chord.glyphs(),
                kinds.stream()
                        .map(k -> new KindView(
                                k.family().label(),
                                k.strings(),
                                k.shapes().stream()
                                        .map(s -> new InvertedView(
                                                s.shape().toString(), GripView.frets(s.shape()), s.inversion()))
                                        .toList()))
                        .toList());
    }

    /** @param other the shape it is compared with */
    record CompareRequest(
            @Schema(type = "string", example = "x32010") JsonNode frets,
            @Schema(type = "string", example = "x02210") JsonNode other,
            String tuning,
            Integer capo,
            @Schema(nullable = true) Integer rung,
            @Schema(nullable = true) Long playerId) {}

    /**
     * @param name the best name; blank where it has none
     * @param notes from the lowest string that sounds
     * @param grip its easiest fingering; null where no hand of the player's holds it
     */
    record SideView(
            String shape,
            String name,
            List<String> notes,
            @Schema(nullable = true) GripView grip) {}

    /** @param kept strings that sound the same in both; @param there null where a hand does not hold one of them */
    record CompareView(
            SideView one,
            SideView other,
            int kept,
            @Schema(nullable = true) WayView there,
            @Schema(nullable = true) WayView back) {}

    /** Two shapes side by side, and the change between them both ways. */
    @PostMapping("/compare")
    CompareView compare(@RequestBody CompareRequest request) {
        Desk desk = desk(request.tuning(), request.capo(), request.playerId());
        Shape one = shape(request.frets(), desk);
        Shape other = shape(request.other(), desk);
        Rung rung = rung(request.rung());
        return planning.answer(
                Size.SMALL,
                () -> new CompareView(
                        side(desk, one),
                        side(desk, other),
                        one.keptIn(other),
                        wayBetween(desk, one, other, rung),
                        wayBetween(desk, other, one, rung)));
    }

    private static SideView side(Desk desk, Shape shape) {
        List<ChordNamer.Name> names = desk.names(shape);
        return new SideView(
                shape.toString(),
                names.stream().findFirst().map(n -> n.symbol().glyphs()).orElse(""),
                ChordNamer.spelled(shape.pitches(desk.board()), names),
                names.stream()
                        .findFirst()
                        .flatMap(n -> desk.grips(shape).stream()
                                .findFirst()
                                .map(g -> GripView.of(g, n.symbol(), desk.board())))
                        .orElse(null));
    }

    private static WayView wayBetween(Desk desk, Shape from, Shape to, Rung rung) {
        Optional<ChordSymbol> name = desk.names(to).stream().findFirst().map(ChordNamer.Name::symbol);
        return name.flatMap(n -> desk.change(from, to, rung).map(way -> view(way, n, desk)))
                .orElse(null);
    }

    private static Rung rung(Integer level) {
        return Rung.of(level == null ? DEFAULT_RUNG : level);
    }

    private static ChordSymbol chord(String symbol, String hint) {
        if (symbol == null || symbol.isBlank()) {
            throw InputException.field("chord", "chord is missing; " + hint + ".");
        }
        return ChordSymbol.parse(symbol);
    }

    record WaysRequest(
            @Schema(type = "string", example = "x32010") JsonNode frets,
            String chord,
            String tuning,
            Integer capo,
            Integer rung,
            @Schema(nullable = true) Long playerId,
            Integer limit) {}

    record FingerActView(String finger, String act, double distanceMm) {}

    /** @param effort of the change and, in part, of the grip reached */
    record WayView(GripView grip, double effort, double seconds, List<FingerActView> acts) {}

    record WaysView(List<WayView> ways) {}

    @PostMapping("/ways")
    WaysView ways(@RequestBody WaysRequest request) {
        Desk desk = desk(request.tuning(), request.capo(), request.playerId());
        Shape shape = shape(request.frets(), desk);
        ChordSymbol chord = chord(request.chord(), "say where to go, such as \"Am7\"");
        Rung rung = rung(request.rung());
        int most = request.limit() == null ? WAYS : request.limit();
        if (most < 1 || most > MOST_WAYS) {
            throw InputException.field("limit", "limit must be 1 to " + MOST_WAYS + ", was " + most + ".");
        }
        List<Desk.Way> ways = planning.answer(size(desk, 1), () -> desk.ways(shape, chord, rung, most));
        return new WaysView(ways.stream().map(w -> view(w, chord, desk)).toList());
    }

    private static WayView view(Desk.Way way, ChordSymbol chord, Desk desk) {
        return new WayView(
                GripView.of(way.to(), chord, desk.board()),
                GripView.round(way.effort()),
                GripView.round(way.change().neededSeconds()),
                way.change().acts().stream()
                        .map(a -> new FingerActView(
                                a.finger() == Grip.THUMB ? "T" : Integer.toString(a.finger()),
                                a.act().label(),
                                GripView.round(a.distanceMm())))
                        .toList());
    }

    private Desk desk(String tuning, Integer capo, Long playerId) {
        Player player = playerId == null ? Player.ADULT : players.hand(playerId);
        return new Desk(ShapeInput.board(tuning, capo), player);
    }

    private static Shape shape(JsonNode frets, Desk desk) {
        Shape shape = ShapeInput.ofStrings(frets, desk.board());
        int most = desk.board().frets();
        if (shape.highestFret() > most) {
            throw InputException.field(
                    "frets",
                    "The shape goes to fret " + shape.highestFret() + "; there are " + most + " above the capo.");
        }
        return shape;
    }

    /** Two fingers from a shape are thousands of shapes. */
    private static Size size(Desk desk, int fingers) {
        return fingers == 1 && desk.board().strings() <= Tuning.STANDARD.size() + 1 ? Size.SMALL : Size.LARGE;
    }
}
