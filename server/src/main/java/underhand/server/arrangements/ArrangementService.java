package underhand.server.arrangements;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import java.util.OptionalInt;
import org.springframework.stereotype.Service;
import underhand.arrange.Arrangement;
import underhand.arrange.ArrangementSettings;
import underhand.arrange.Arranger;
import underhand.arrange.Sweep;
import underhand.format.ChartReading;
import underhand.format.ChartTextReader;
import underhand.hand.Rung;
import underhand.server.arrangements.ArrangementView.FaultView;
import underhand.server.platform.InputException;
import underhand.server.shapes.GripView;

/**
 * Arranges charts, and keeps the last sweeps: a sweep holds every capo position, so moving the capo of a song on screen
 * costs no search.
 */
@Service
public class ArrangementService {

    private static final int SWEEPS_KEPT = 64;

    private final Arranger arranger;
    private final Cache<Key, Sweep> sweeps =
            Caffeine.newBuilder().maximumSize(SWEEPS_KEPT).build();

    ArrangementService(Arranger arranger) {
        this.arranger = arranger;
    }

    /** @param settings with the capo left open */
    private record Key(String source, ArrangementSettings settings) {}

    ArrangementView preview(PreviewRequest request) {
        ChartReading reading = read(request.chart());
        ArrangementSettings settings = SettingsReader.read(request, reading.chart());
        return ArrangementMapper.view(reading, settings, arrange(request.chart().source(), reading, settings));
    }

    private Arrangement arrange(String source, ChartReading reading, ArrangementSettings settings) {
        OptionalInt capo = settings.capo();
        if (capo.isPresent() && capo.getAsInt() > ArrangementSettings.HIGHEST_CAPO) {
            return arranger.arrange(reading.chart(), settings);
        }
        ArrangementSettings open = settings.withCapoOpen();
        return sweeps.get(new Key(source, open), key -> arranger.sweep(reading.chart(), open))
                .at(capo);
    }

    /**
     * What a chart asks of an adult hand on every rung.
     *
     * @param capo fret with the least effort
     * @param effort effort of the best part there, a bar
     * @param beyond placements that no grip of the rung can play
     */
    public record RungEffort(int rung, int capo, double effort, int beyond) {}

    /** The least effort of a chart on each rung, from the first to the fifth. */
    public List<RungEffort> efforts(String source) {
        ChartReading reading = ChartTextReader.read(source);
        return Rung.all().stream()
                .map(rung -> {
                    ArrangementSettings settings = ArrangementSettings.ofRung(rung.level());
                    Arrangement best = arrange(source, reading, settings);
                    int beyond = best.candidates().get(best.capo()).beyond();
                    double aBar = best.total() / Math.max(1, reading.chart().bars());
                    return new RungEffort(rung.level(), best.capo(), GripView.round(aBar), beyond);
                })
                .toList();
    }

    private static ChartReading read(PreviewRequest.ChartRequest chart) {
        if (chart == null || chart.source() == null) {
            throw InputException.field("chart", "chart.source is missing; send the chart as text.");
        }
        if (chart.format() != null && !chart.format().equals("text")) {
            throw InputException.field("chart.format", "chart.format must be text, was \"" + chart.format() + "\".");
        }
        return ChartTextReader.read(chart.source());
    }

    /** What could not be read of a chart, as the API gives it. */
    public static List<FaultView> faults(ChartReading reading) {
        return ArrangementMapper.faults(reading.faults());
    }
}
