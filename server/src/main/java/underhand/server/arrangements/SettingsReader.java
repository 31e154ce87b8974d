package underhand.server.arrangements;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import underhand.chart.Chart;
import underhand.hand.Rung;
import underhand.input.RangeException;
import underhand.neck.Tuning;
import underhand.server.platform.InputException;
import underhand.server.players.Seat;
import underhand.server.shapes.WishesRequest;
import underhand.settings.ArrangementSettings;
import underhand.settings.HouseRules;
import underhand.settings.Lock;
import underhand.settings.Setting;
import underhand.settings.TexturePlan;

/** Turns what was sent into settings, naming the field that is wrong. */
final class SettingsReader {

    static final int MOST_TRANSPOSED = 11;

    private SettingsReader() {}

    /** @param seat who plays the first guitar */
    static ArrangementSettings read(PreviewRequest request, Seat seat, Chart chart) {
        HouseRules song = request.houseRules() == null
                ? HouseRules.NONE
                : request.houseRules().toRules();
        ArrangementSettings settings = ArrangementSettings.of(seat.performer(), tuning(chart), song)
                .withRung(request.rung() == null ? Rung.LOWEST : request.rung())
                .withSetting(request.setting() == null ? Setting.ALONE : Setting.parse(request.setting()))
                .withLocks(locks(request, chart))
                .withReadings(orNone(request.readings()).stream()
                        .map(ReadingChoiceRequest::toChoice)
                        .toList())
                .withPatterns(PatternChoiceRequest.plan(request.patterns()));
        if (request.tuning() != null) {
            settings = settings.withTuning(Tuning.parse(request.tuning()));
        }
        if (request.tempo() != null) {
            settings = settings.withTempo(request.tempo());
        }
        if (request.voice() != null) {
            settings = settings.withVoice(request.voice().toRange());
        }
        if (request.solo() != null) {
            settings = settings.withSolo(request.solo().in(request.octave()).toAsk());
        }
        return withCapo(settings.withTextures(textures(request, chart)), capo(request.capo()));
    }

    private static TexturePlan textures(PreviewRequest request, Chart chart) {
        WishesRequest wishes = request.wishes() == null ? WishesRequest.NONE : request.wishes();
        TexturePlan plan = TexturePlan.read(request.texture(), wishes.toWished());
        List<TextureRequest> said = new ArrayList<>(orNone(request.textures()));
        // What is said of one chord stands over what is said of its section.
        said.sort(Comparator.comparing(texture -> texture.placement() != null));
        for (TextureRequest one : said) {
            one.check(chart);
            plan = plan.with(one.texture(), placements(one, chart));
        }
        return plan;
    }

    private static Stream<Integer> placements(TextureRequest said, Chart chart) {
        if (said.placement() != null) {
            return Stream.of(said.placement());
        }
        int section = said.section();
        int end = section + 1 < chart.sections().size()
                ? chart.firstPlacement(section + 1)
                : chart.placements().size();
        return IntStream.range(chart.firstPlacement(section), end).boxed();
    }

    /** @param seat who plays the second guitar */
    static ArrangementSettings beside(ArrangementSettings first, SecondGuitar second, Seat seat, Chart chart) {
        ArrangementSettings settings = first.beside(seat.performer(), tuning(chart), second.rung());
        if (second.patterns() != null) {
            settings = settings.withPatterns(PatternChoiceRequest.plan(second.patterns()));
        }
        settings = settings.withTextures(TexturePlan.read(second.texture(), WishesRequest.NONE.toWished()));
        if (second.solo() != null) {
            settings = settings.withSolo(second.solo().toAsk());
        }
        return withCapo(settings, second.capo() == null ? OptionalInt.empty() : OptionalInt.of(second.capo()));
    }

    private static ArrangementSettings withCapo(ArrangementSettings settings, OptionalInt capo) {
        return capo.isPresent() ? settings.withCapo(capo.getAsInt()) : settings;
    }

    private static Optional<Tuning> tuning(Chart chart) {
        return chart.tuning().map(Tuning::parse);
    }

    private static <T> List<T> orNone(List<T> sent) {
        return sent == null ? List.of() : sent;
    }

    /** Semitones the song is moved by. */
    static int transpose(PreviewRequest request) {
        if (request.transpose() == null) {
            return 0;
        }
        RangeException.check("transpose", request.transpose(), -MOST_TRANSPOSED, MOST_TRANSPOSED);
        return request.transpose();
    }

    private static OptionalInt capo(JsonNode capo) {
        if (capo == null || capo.isNull() || capo.isTextual() && capo.asText().equals("auto")) {
            return OptionalInt.empty();
        }
        if (capo.isTextual() && capo.asText().matches("[0-9]{1,3}")) {
            return OptionalInt.of(Integer.parseInt(capo.asText()));
        }
        if (!capo.isInt()) {
            throw InputException.field("capo", "capo must be \"auto\" or a fret from 0 to 11, was " + capo + ".");
        }
        return OptionalInt.of(capo.asInt());
    }

    private static List<Lock> locks(PreviewRequest song, Chart chart) {
        int transposed = transpose(song);
        int last = Math.max(0, chart.placements().size() - 1);
        return orNone(song.locks()).stream()
                .map(request -> {
                    if (request.placement() != null) {
                        RangeException.check("locks.placement", request.placement(), 0, last);
                    }
                    return request.toLock(transposed);
                })
                .toList();
    }
}
