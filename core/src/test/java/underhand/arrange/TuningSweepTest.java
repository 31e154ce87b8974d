package underhand.arrange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;
import underhand.chart.Chart;
import underhand.format.text.ChartTextReader;
import underhand.neck.Tuning;
import underhand.settings.ArrangementSettings;

class TuningSweepTest {

    private static final Chart DRONE = ChartTextReader.read("key: D\n| D | G | D | A7 |\n| D | D5 | G | D |\n")
            .chart();

    private static List<TuningSweep.Option> sweep(Chart chart, String... tunings) {
        return TuningSweep.of(
                new Arranger(),
                chart,
                ArrangementSettings.ofRung(2),
                List.of(tunings).stream().map(Tuning::parse).toList());
    }

    @Test
    void everyTuning_hasItsBestCapo_theLeastEffortFirst() {
        List<TuningSweep.Option> options = sweep(DRONE, "standard", "drop D", "half step down");
        assertEquals(3, options.size());
        for (int i = 1; i < options.size(); i++) {
            assertTrue(
                    options.get(i - 1).capo().total() <= options.get(i).capo().total());
        }
        for (TuningSweep.Option option : options) {
            CapoCandidate alone = new Arranger()
                    .sweep(DRONE, ArrangementSettings.ofRung(2).withTuning(option.tuning()))
                    .best();
            assertEquals(alone.total(), option.capo().total(), 1e-9);
            assertEquals(alone.capo(), option.capo().capo());
        }
    }

    @Test
    void strings_areTurned_bySoManyCents() {
        TuningSweep.Option drop = sweep(DRONE, "drop D").get(0);
        assertEquals(List.of(new TuningSweep.Retuned(0, -200)), drop.retuned());
        assertFalse(drop.raises());
        TuningSweep.Option openE = sweep(DRONE, "open E").get(0);
        assertEquals(
                List.of(
                        new TuningSweep.Retuned(1, 200),
                        new TuningSweep.Retuned(2, 200),
                        new TuningSweep.Retuned(3, 100)),
                openE.retuned());
        assertTrue(openE.raises());
        assertEquals(List.of(), sweep(DRONE, "standard").get(0).retuned());
    }
}
