package underhand.server.arrangements;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import underhand.chart.Chart;
import underhand.hand.FingerSpreads;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.neck.Guitar;
import underhand.neck.Shape;
import underhand.neck.Tuning;
import underhand.server.arrangements.PreviewRequest.GuitarRequest;
import underhand.server.arrangements.PreviewRequest.PlayerRequest;
import underhand.server.platform.InputException;
import underhand.server.players.HouseRulesRequest;
import underhand.server.players.PairReach;
import underhand.settings.ArrangementSettings;
import underhand.settings.HouseRules;
import underhand.settings.Lock;
import underhand.settings.Setting;

/** Turns what was sent into settings, naming the field that is wrong. */
final class SettingsReader {

    private static final int DEFAULT_RUNG = 1;
    private static final int MOST_TRANSPOSED = 11;

    private SettingsReader() {}

    static ArrangementSettings read(PreviewRequest request, Chart chart) {
        int rung = request.rung() == null ? DEFAULT_RUNG : request.rung();
        inRange("rung", rung, Rung.LOWEST, Rung.HIGHEST);
        if (request.tempo() != null) {
            inRange("tempo", request.tempo(), Chart.LOWEST_TEMPO, Chart.HIGHEST_TEMPO);
        }
        String tuning =
                request.tuning() != null ? request.tuning() : chart.tuning().orElse(Tuning.STANDARD.toString());
        return new ArrangementSettings(
                Rung.of(rung),
                player(request.player(), request.houseRules()),
                guitar(request.guitar()),
                Tuning.parse(tuning),
                request.setting() == null ? Setting.ALONE : Setting.parse(request.setting()),
                capo(request.capo()),
                request.tempo() == null ? OptionalInt.empty() : OptionalInt.of(request.tempo()),
                request.locks() == null ? List.of() : locks(request.locks(), chart),
                request.readings() == null
                        ? List.of()
                        : request.readings().stream()
                                .map(ReadingChoiceRequest::toChoice)
                                .toList(),
                request.houseRules() == null
                        ? HouseRules.DEFAULT
                        : request.houseRules().toRules(),
                PatternChoiceRequest.plan(request.patterns()));
    }

    /** Semitones the song is moved by. */
    static int transpose(PreviewRequest request) {
        if (request.transpose() == null) {
            return 0;
        }
        inRange("transpose", request.transpose(), -MOST_TRANSPOSED, MOST_TRANSPOSED);
        return request.transpose();
    }

    private static OptionalInt capo(JsonNode capo) {
        if (capo == null || capo.isNull() || capo.isTextual() && capo.asText().equals("auto")) {
            return OptionalInt.empty();
        }
        if (!capo.isInt()) {
            throw InputException.field("capo", "capo must be \"auto\" or a fret from 0 to 11, was " + capo + ".");
        }
        inRange("capo", capo.asInt(), 0, ArrangementSettings.HIGHEST_ASKED_CAPO);
        return OptionalInt.of(capo.asInt());
    }

    private static Player player(PlayerRequest player, HouseRulesRequest rules) {
        boolean thumb = rules != null && Boolean.TRUE.equals(rules.thumb())
                || player != null && Boolean.TRUE.equals(player.thumb());
        if (player == null) {
            return new Player(Player.ADULT.name(), FingerSpreads.ADULT, thumb, 1);
        }
        double comfortable = orElse(player.comfortableMm(), FingerSpreads.ADULT.comfortableMm(1, 4));
        double widest = orElse(player.widestMm(), Math.max(comfortable, FingerSpreads.ADULT.widestMm(1, 4)));
        List<PairReach> pairs = player.pairs() == null ? List.of() : player.pairs();
        List<String> shapes = player.shapes() == null ? List.of() : player.shapes();
        return new Player(
                player.name() == null ? Player.ADULT.name() : player.name(),
                PairReach.into(FingerSpreads.ADULT.scaledTo(comfortable, widest), pairs),
                thumb,
                orElse(player.changeFactor(), 1),
                shapes.stream().map(Shape::parse).collect(Collectors.toSet()));
    }

    private static Guitar guitar(GuitarRequest guitar) {
        Guitar usual = Guitar.ACOUSTIC;
        if (guitar == null) {
            return usual;
        }
        return new Guitar(
                usual.name(),
                orElse(guitar.scaleLengthMm(), usual.scaleLengthMm()),
                orElse(guitar.nutSpreadMm(), usual.nutSpreadMm()),
                orElse(guitar.bridgeSpreadMm(), usual.bridgeSpreadMm()),
                guitar.frets() == null ? usual.frets() : guitar.frets());
    }

    private static double orElse(Double value, double otherwise) {
        return value == null ? otherwise : value;
    }

    private static List<Lock> locks(List<LockRequest> locks, Chart chart) {
        int placements = chart.placements().size();
        return locks.stream()
                .map(request -> {
                    if (request.placement() != null) {
                        inRange("locks.placement", request.placement(), 0, Math.max(0, placements - 1));
                    }
                    return request.toLock();
                })
                .toList();
    }

    private static void inRange(String field, int value, int low, int high) {
        if (value < low || value > high) {
            throw InputException.field(field, field + " must be " + low + " to " + high + ", was " + value + ".");
        }
    }
}
