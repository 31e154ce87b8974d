package underhand.server.arrangements;

import java.util.Optional;
import underhand.chart.Chart;
import underhand.format.text.ChartReading;
import underhand.server.platform.InputException;
import underhand.server.players.Seat;
import underhand.settings.ArrangementSettings;

/**
 * What is to be arranged, for whom, once ids and values are looked up.
 *
 * @param chart as it is to sound
 * @param seat who plays
 * @param second settings of the guitar beside it; empty when nobody plays beside
 */
public record Task(
        String source,
        int transpose,
        ChartReading reading,
        Chart chart,
        Seat seat,
        ArrangementSettings settings,
        Optional<Beside> second) {

    static Task of(String source, ChartReading reading, int level) {
        ArrangementSettings settings = ArrangementSettings.ofRung(level);
        return new Task(source, 0, reading, reading.chart(), Seat.USUAL, settings, Optional.empty());
    }

    /** @throws InputException when nobody plays beside */
    ArrangementSettings besideSettings() {
        return second.orElseThrow(() -> InputException.field(
                        "second", "second is missing; say who plays the second guitar, such as {\"rung\": 2}."))
                .settings();
    }

    /** A second guitar. */
    public record Beside(Seat seat, ArrangementSettings settings) {}
}
