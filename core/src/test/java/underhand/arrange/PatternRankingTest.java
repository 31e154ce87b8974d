package underhand.arrange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;
import underhand.chart.Chart;
import underhand.format.ChartTextReader;
import underhand.neck.Shape;
import underhand.picking.Patterns;
import underhand.settings.ArrangementSettings;
import underhand.settings.Lock;
import underhand.settings.Setting;

/** Which patterns fit a section, and why. */
class PatternRankingTest {

    private static final Arranger ARRANGER = new Arranger();

    private static Chart chart(String text) {
        return ChartTextReader.read(text).chart();
    }

    @Test
    void ranking_fitsMetreTempoAndRung_andSaysWhatBreaks() {
        ArrangementSettings settings = ArrangementSettings.ofRung(3).withCapo(0);
        Arrangement arrangement = ARRANGER.arrange(chart("key: C\ntempo: 90\n[Verse]\n| C | G | Am | F |"), settings);
        List<PatternRanking.Fit> fits = PatternRanking.of(arrangement, "Verse", Patterns.all());
        assertTrue(fits.size() >= 10);
        fits.forEach(f -> {
            assertEquals(4, f.pattern().metre().beats());
            assertTrue(f.pattern().lowestRung() <= 3);
            assertFalse(f.reasons().isEmpty(), f.pattern().id());
        });
        for (int i = 1; i < fits.size(); i++) {
            assertTrue(fits.get(i - 1).score() >= fits.get(i).score());
        }
        ArrangementSettings triads = settings.withLocks(List.of(Lock.onShape(1, Shape.parse("xxx003"))));
        List<PatternRanking.Fit> broken = PatternRanking.of(
                ARRANGER.priced(chart("key: C\ntempo: 90\n[Verse]\n| C | G | Am | F |"), triads),
                "Verse",
                Patterns.all());
        PatternRanking.Break breaks = broken.stream()
                .filter(f -> f.pattern().id().equals("arpeggio-up"))
                .findFirst()
                .orElseThrow()
                .breaks()
                .orElseThrow();
        assertEquals(1, breaks.place());
        assertTrue(breaks.words().startsWith("G as xxx003 cannot carry it"), breaks.words());
        assertTrue(breaks.better().isPresent());
    }

    @Test
    void ranking_withASinger_prefersPickedStrings() {
        ArrangementSettings settings = ArrangementSettings.ofRung(2).withCapo(0).withSetting(Setting.SINGER);
        Arrangement arrangement = ARRANGER.arrange(chart("key: C\ntempo: 60\n| C | G | Am | F |"), settings);
        assertFalse(PatternRanking.of(arrangement, "", Patterns.all())
                .get(0)
                .pattern()
                .isStrummed());
    }
}
