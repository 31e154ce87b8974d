package underhand.server.shapes;

import com.fasterxml.jackson.databind.JsonNode;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import underhand.chord.ChordNamer;
import underhand.chord.ChordSymbol;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.neck.Fretboard;
import underhand.neck.Guitar;
import underhand.neck.Shape;
import underhand.repertoire.GripFinder;
import underhand.repertoire.RatedGrip;
import underhand.server.planning.Planning;
import underhand.server.planning.Planning.Size;
import underhand.server.platform.InputException;
import underhand.server.players.PlayerService;
import underhand.settings.Setting;
import underhand.settings.TexturePlan;

/** Reads chord symbols, names shapes, searches grips. */
@RestController
@RequestMapping("/api/v1")
class ShapeController {

    private static final int DEFAULT_LIMIT = 20;
    private static final int MOST_GRIPS = 500;
    private static final int DEFAULT_RUNG = 3;

    /** A neck with more strings has so many shapes that searching them all is large work. */
    private static final int MOST_SMALL_STRINGS = 7;

    private final PlayerService players;
    private final Planning planning;

    ShapeController(PlayerService players, Planning planning) {
        this.players = players;
        this.planning = planning;
    }

    record ChordRequest(String symbol) {}

    record ToneView(String note, String interval) {}

    /** @param symbol with real glyphs */
    record ChordView(String symbol, String root, String bass, List<ToneView> tones) {}

    @PostMapping("/chords/parse")
    ChordView parse(@RequestBody ChordRequest request) {
        ChordSymbol chord = ChordSymbol.parse(required("symbol", request.symbol()));
        return new ChordView(
                chord.glyphs(),
                chord.root().toString(),
                chord.lowest().toString(),
                chord.tones().stream()
                        .map(t -> new ToneView(t.note().toString(), t.interval().toString()))
                        .toList());
    }

    record IdentifyRequest(
            @Schema(type = "string", example = "x7577x") JsonNode frets, String tuning, Integer capo, String bass) {}

    record NamesView(List<String> notes, List<NameView> names) {}

    @PostMapping("/shapes/identify")
    NamesView identify(@RequestBody IdentifyRequest request) {
        Fretboard board = ShapeInput.board(request.tuning(), request.capo());
        Shape shape = ShapeInput.ofStrings(request.frets(), board);
        var names = ChordNamer.namesOver(shape.pitches(board), Optional.ofNullable(request.bass()));
        return new NamesView(
                ChordNamer.spelled(shape.pitches(board), names),
                names.stream().map(NameView::of).toList());
    }

    record GripsRequest(
            String chord,
            String tuning,
            Integer capo,
            Integer rung,
            String setting,
            @Schema(nullable = true) Long playerId,
            Integer maxFret,
            Integer limit,
            @Schema(nullable = true) String texture,
            @Schema(nullable = true) WishesRequest wishes) {}

    /** @param total how many grips there are in all */
    record GripsView(List<GripView> grips, int total) {}

    @PostMapping("/grips/search")
    GripsView search(@RequestBody GripsRequest request) {
        ChordSymbol chord = ChordSymbol.parse(required("chord", request.chord()));
        Fretboard board = ShapeInput.board(request.tuning(), request.capo());
        int maxFret = orDefault(request.maxFret(), GripFinder.HIGHEST_FRET, "maxFret", 0, Guitar.MOST_FRETS);
        int limit = orDefault(request.limit(), DEFAULT_LIMIT, "limit", 1, MOST_GRIPS);
        Rung rung = Rung.of(orDefault(request.rung(), DEFAULT_RUNG, "rung", Rung.LOWEST, Rung.HIGHEST));
        Setting setting = request.setting() == null ? Setting.ALONE : Setting.parse(request.setting());
        Player player = request.playerId() == null ? Player.ADULT : players.hand(request.playerId());
        WishesRequest wishes = request.wishes() == null ? WishesRequest.NONE : request.wishes();
        GripFinder finder = new GripFinder(board, rung, player, setting, maxFret)
                .in(TexturePlan.ask(request.texture(), wishes.toWished()));
        Size size = board.strings() <= MOST_SMALL_STRINGS ? Size.SMALL : Size.LARGE;
        List<RatedGrip> grips = planning.answer(size, () -> finder.find(chord, 1));
        return new GripsView(
                grips.stream()
                        .limit(limit)
                        .map(g -> GripView.of(g, chord, board))
                        .toList(),
                grips.size());
    }

    private static String required(String field, String value) {
        if (value == null || value.isBlank()) {
            throw InputException.field(field, field + " is missing.");
        }
        return value;
    }

    private static int orDefault(Integer value, int otherwise, String field, int low, int high) {
        if (value != null && (value < low || value > high)) {
            throw InputException.field(field, field + " must be " + low + " to " + high + ", was " + value + ".");
        }
        return value == null ? otherwise : value;
    }
}
