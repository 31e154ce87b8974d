package underhand.server.songs;

import com.fasterxml.jackson.databind.node.IntNode;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import underhand.chart.Chart;
import underhand.hand.Rung;
import underhand.server.arrangements.FillChoiceRequest;
import underhand.server.arrangements.LockRequest;
import underhand.server.arrangements.PatternChoiceRequest;
import underhand.server.arrangements.PreviewRequest;
import underhand.server.arrangements.RangeRequest;
import underhand.server.arrangements.ReadingChoiceRequest;
import underhand.server.arrangements.SecondGuitar;
import underhand.server.arrangements.SoloRequest;
import underhand.server.arrangements.TextureRequest;
import underhand.server.platform.InputException;
import underhand.server.players.HouseRulesRequest;
import underhand.server.players.PlayerService;
import underhand.server.shapes.WishesRequest;
import underhand.settings.ArrangementSettings;
import underhand.settings.Setting;
import underhand.settings.TexturePlan;

/**
 * What has been decided for a song.
 *
 * @param capo null for the fret with the least effort
 * @param tempo null for the chart's own
 * @param transpose semitones the song is moved by
 * @param playerId null for an adult hand
 * @param guitarId null for a steel-string acoustic in the chart's tuning
 * @param readings what was said to readings of placements
 * @param patterns what the right hand plays; chosen with the part where it is left open
 * @param fills what is played in the gaps
 * @param voice range of the singer; null where it is not known
 * @param solo how the tune is played on top of the chords; null where it is left to somebody else
 * @param second null when nobody plays beside the first guitar
 * @param houseRules what this song does otherwise than its player
 */
record Decisions(
        int rung,
        String setting,
        @Schema(nullable = true) Integer capo,
        @Schema(nullable = true) Integer tempo,
        int transpose,
        List<LockRequest> locks,
        List<ReadingChoiceRequest> readings,
        List<PatternChoiceRequest> patterns,
        List<FillChoiceRequest> fills,
        @Schema(nullable = true) Long playerId,
        @Schema(nullable = true) Long guitarId,
        HouseRulesRequest houseRules,
        @Schema(nullable = true) RangeRequest voice,
        @Schema(nullable = true) String texture,
        List<TextureRequest> textures,
        @Schema(nullable = true) WishesRequest wishes,
        @Schema(nullable = true) SoloRequest solo,
        @Schema(nullable = true) SecondGuitar second) {

    private static final int OCTAVE = 12;

    /** Decisions of a song nobody has decided anything for. */
    static Decisions first(int rung, Integer capo) {
        return new Decisions(
                rung,
                Setting.ALONE.id(),
                capo,
                null,
                0,
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                null,
                null,
                HouseRulesRequest.NONE,
                null,
                null,
                List.of(),
                null,
                null,
                null);
    }

    Decisions {
        locks = locks == null ? List.of() : List.copyOf(locks);
        readings = readings == null ? List.of() : List.copyOf(readings);
        patterns = patterns == null ? List.of() : List.copyOf(patterns);
        fills = fills == null ? List.of() : List.copyOf(fills);
        textures = textures == null ? List.of() : List.copyOf(textures);
        houseRules = houseRules == null ? HouseRulesRequest.NONE : houseRules;
    }

    /** The same with what is said of single chords. */
    Decisions with(
            List<LockRequest> otherLocks,
            List<ReadingChoiceRequest> otherReadings,
            List<FillChoiceRequest> otherFills,
            List<TextureRequest> otherTextures) {
        return new Decisions(
                rung,
                setting,
                capo,
                tempo,
                transpose,
                otherLocks,
                otherReadings,
                patterns,
                otherFills,
                playerId,
                guitarId,
                houseRules,
                voice,
                texture,
                otherTextures,
                wishes,
                solo,
                second);
    }

    /** What asks for the part these decisions make of a chart, as far as those who are to play it are there. */
    PreviewRequest asked(String source, PlayerService players) {
        return new PreviewRequest(
                new PreviewRequest.ChartRequest("text", source),
                rung,
                setting,
                capo == null ? null : IntNode.valueOf(capo),
                null,
                players.there(playerId),
                null,
                players.guitarThere(guitarId),
                null,
                houseRules,
                locks,
                readings,
                patterns,
                fills,
                tempo,
                transpose,
                voice,
                texture,
                textures,
                wishes,
                solo,
                null,
                null);
    }

    /** @throws RuntimeException naming the decision that cannot be */
    void check() {
        Rung.of(rung);
        Setting.parse(Objects.requireNonNullElse(setting, ""));
        inRange("capo", capo, 0, ArrangementSettings.HIGHEST_ASKED_CAPO);
        inRange("tempo", tempo, Chart.LOWEST_TEMPO, Chart.HIGHEST_TEMPO);
        inRange("transpose", transpose, 1 - OCTAVE, OCTAVE - 1);
        houseRules.toRules();
        if (second != null) {
            Rung.of(second.rung());
            inRange("second.capo", second.capo(), 0, ArrangementSettings.HIGHEST_ASKED_CAPO);
            PatternChoiceRequest.plan(second.patterns());
            TexturePlan.read(second.texture(), WishesRequest.NONE.toWished());
        }
        locks.forEach(lock -> lock.toLock(transpose));
        readings.forEach(ReadingChoiceRequest::toChoice);
        PatternChoiceRequest.plan(patterns);
        fills.forEach(FillChoiceRequest::check);
        TexturePlan plan = TexturePlan.read(texture, (wishes == null ? WishesRequest.NONE : wishes).toWished());
        for (TextureRequest one : textures) {
            one.check();
            plan.with(one.texture(), Stream.empty());
        }
        if (solo != null) {
            solo.toAsk();
        }
        if (voice != null) {
            voice.toRange();
        }
    }

    private static void inRange(String field, Integer value, int low, int high) {
        if (value != null && (value < low || value > high)) {
            throw InputException.field(field, field + " must be " + low + " to " + high + ", was " + value + ".");
        }
    }
}
