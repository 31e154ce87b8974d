package underhand.server.songs;

import underhand.chart.Chart;
import underhand.format.text.ChartReading;
import underhand.harmony.HarmonyReader;

/** What the list says of a chart, kept with the song so that no chart is read to list it. */
record SongFacts(String key, String metre, int tempo, int bars, int chords, int faults) {

    static SongFacts of(ChartReading reading) {
        Chart chart = reading.chart();
        return new SongFacts(
                HarmonyReader.keyOf(chart).glyphs(),
                chart.metre().toString(),
                chart.tempo().orElse(Chart.DEFAULT_TEMPO),
                chart.bars(),
                (int) chart.placements().stream()
                        .flatMap(p -> p.placement().chord().stream())
                        .distinct()
                        .count(),
                reading.unsure());
    }
}
