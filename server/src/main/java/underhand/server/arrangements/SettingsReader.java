package underhand.server.arrangements;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import java.util.OptionalInt;
import underhand.arrange.ArrangementSettings;
import underhand.arrange.Lock;
import underhand.arrange.Setting;
import underhand.arrange.HouseRules;
import underhand.chart.Chart;
import underhand.hand.FingerSpreads;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.neck.Guitar;
import underhand.neck.Tuning;
import underhand.server.arrangements.PreviewRequest.GuitarRequest;
import underhand.server.arrangements.PreviewRequest.HouseRulesRequest;
import underhand.server.arrangements.PreviewRequest.LockRequest;
import underhand.server.arrangements.PreviewRequest.PlayerRequest;
import underhand.server.platform.InputException;
import underhand.server.shapes.ShapeInput;

/** Turns what was sent into settings, naming the field that is wrong. */
final class SettingsReader {

    private static final int DEFAULT_RUNG = 1;

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
                houseRules(request.houseRules()));
    }

    private static HouseRules houseRules(HouseRulesRequest rules) {
        return rules == null ? HouseRules.DEFAULT : new HouseRules(orElse(rules.ring(), 0), orElse(rules.motion(), 0));
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
        return new Player(
                player.name() == null ? Player.ADULT.name() : player.name(),
                FingerSpreads.ADULT.scaledTo(comfortable, widest),
                thumb,
                orElse(player.changeFactor(), 1));
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
                .map(lock -> {
                    if (lock.placement() == null) {
                        throw InputException.field("locks", "A lock names its placement, counted from 0.");
                    }
                    inRange("locks.placement", lock.placement(), 0, Math.max(0, placements - 1));
                    return Lock.onShape(lock.placement(), ShapeInput.read("locks.frets", lock.frets()));
                })
                .toList();
    }

    private static void inRange(String field, int value, int low, int high) {
        if (value < low || value > high) {
            throw InputException.field(field, field + " must be " + low + " to " + high + ", was " + value + ".");
        }
    }
}
