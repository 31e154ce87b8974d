package underhand.server.arrangements;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Optional;
import org.springframework.stereotype.Component;
import underhand.chart.Chart;
import underhand.format.text.ChartReading;
import underhand.format.text.ChartTextReader;
import underhand.harmony.HarmonyReader;
import underhand.server.platform.InputException;
import underhand.server.players.PlayerService;
import underhand.server.players.Seat;
import underhand.settings.ArrangementSettings;

/** Looks up what a request names, and says what of it cannot be used; keeps the charts that were read last. */
@Component
class TaskReader {

    private static final int CHARTS_KEPT = 16;

    private final PlayerService players;
    private final Cache<String, ChartReading> charts =
            Caffeine.newBuilder().maximumSize(CHARTS_KEPT).build();

    TaskReader(PlayerService players) {
        this.players = players;
    }

    /** @throws RuntimeException naming what of it cannot be used */
    Task read(PreviewRequest request) {
        if (request == null) {
            throw InputException.field("song", "song is missing; send what a preview takes.");
        }
        ChartReading reading = chart(request.chart());
        Chart written = reading.chart();
        Seat seat = players.seat(request.playerId(), request.player(), request.guitarId(), request.guitar());
        ArrangementSettings settings = SettingsReader.read(request, seat, written);
        int transpose = SettingsReader.transpose(request);
        Chart chart = transpose == 0 ? written : written.transpose(transpose, HarmonyReader.keyOf(written));
        Optional<Task.Beside> second = Optional.ofNullable(request.second()).map(other -> {
            Seat beside = players.seat(other.playerId(), null, other.guitarId(), null);
            return new Task.Beside(beside, SettingsReader.beside(settings, other, beside, written));
        });
        return new Task(request.chart().source(), transpose, reading, chart, seat, settings, second);
    }

    private ChartReading chart(PreviewRequest.ChartRequest chart) {
        if (chart == null || chart.source() == null) {
            throw InputException.field("chart", "chart.source is missing; send the chart as text.");
        }
        if (chart.format() != null && !chart.format().equals("text")) {
            throw InputException.field("chart.format", "chart.format must be text, was \"" + chart.format() + "\".");
        }
        return charts.get(chart.source(), ChartTextReader::read);
    }
}
