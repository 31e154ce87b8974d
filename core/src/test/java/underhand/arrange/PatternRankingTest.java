package underhand.arrange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import underhand.chart.Chart;
import underhand.format.text.ChartTextReader;
import underhand.harmony.Style;
import underhand.neck.Shape;
import underhand.picking.Patterns;
import underhand.settings.ArrangementSettings;
import underhand.settings.Lock;
import underhand.settings.Setting;
import underhand.settings.VoiceRange;

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
        Arrangement sung =
                ARRANGER.arrange(chart("key: C\ntempo: 60\n[C]Mist on the [G]lock and the [Am]kettle [F]on"), settings);
        assertFalse(PatternRanking.of(sung, "", Patterns.all()).get(0).pattern().isStrummed());
        assertFalse(sung.besideVoice().isEmpty());
    }

    /** Without words, tune or range nothing is known of the voice: the part is that of a guitar alone. */
    @Test
    void arrange_besideASingerOfWhomNothingIsKnown_isAsAlone() {
        Chart chart = chart("key: C\ntempo: 60\n| C | G | Am | F |");
        ArrangementSettings alone = ArrangementSettings.ofRung(3);
        Arrangement beside = ARRANGER.arrange(chart, alone.withSetting(Setting.SINGER));
        assertEquals(played(ARRANGER.arrange(chart, alone)), played(beside));
        assertEquals(Map.of(), beside.besideVoice());
        Arrangement low =
                ARRANGER.arrange(chart, alone.withSetting(Setting.SINGER).withVoice(VoiceRange.parse("A3", "D5")));
        assertEquals(4, low.besideVoice().size());
    }

    private static List<String> played(Arrangement arrangement) {
        return arrangement.placements().stream()
                .map(p -> p.grip().orElseThrow().grip().toString() + " "
                        + arrangement.rightHand().get(0).pattern().id())
                .toList();
    }

    /** What is first where it belongs; common practice. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "A slow ballad; 60; 4/4; | C | Am | F | G |; 4; BALLAD",
                "Towpath bossa; 124; 4/4; | Dm9 | G13 | Cmaj9 | A7 |; 3; BOSSA",
                "Lock keeper's shuffle; 112; 4/4; | E7 | A7 | E7 | B7 |; 3; BLUES",
                "Morning; 104; 4/4; | G | D | Em | C |; 2; FOLK",
            })
    void ranking_ofAStyle_putsItsPatternsFirst(
            String title, int tempo, String metre, String bars, int rung, Style style) {
        Chart chart = chart("title: " + title + "\ntempo: " + tempo + "\nmetre: " + metre + "\n" + bars);
        Arrangement arrangement =
                ARRANGER.arrange(chart, ArrangementSettings.ofRung(rung).withCapo(0));
        PatternRanking.Fit first =
                PatternRanking.of(arrangement, "", Patterns.all()).get(0);
        assertTrue(first.pattern().styles().contains(style), first.pattern() + " " + first.reasons());
    }

    @ParameterizedTest
    @CsvSource({"5/4, 2", "7/8, 2"})
    void ranking_ofOddMetres_hasGroupedPatterns(String metre, int rung) {
        Chart chart = chart("tempo: 140\nmetre: " + metre + "\n| Am | Dm | Am | E |");
        Arrangement arrangement =
                ARRANGER.arrange(chart, ArrangementSettings.ofRung(rung).withCapo(0));
        assertTrue(PatternRanking.of(arrangement, "", Patterns.all()).size() >= 3);
        assertFalse(arrangement.rightHand().get(0).pattern().isBeat());
    }

    /** A beginner at 96 leaves the last beat free, and no change is late that one stroke a bar would hold. */
    @Test
    void arrange_rungOne_isChosenARightHandThatLeavesTime() {
        Chart chart = chart("key: G\ntempo: 96\n| G | D | Em | C |");
        Arrangement part = ARRANGER.arrange(chart, ArrangementSettings.ofRung(1));
        PatternChoice hand = part.rightHand().get(0);
        assertFalse(hand.own());
        assertTrue(hand.reason().contains("in time for every change"), hand.reason());
        assertTrue(hand.pattern().strokes() >= 2, hand.pattern().toString());
        part.changes().forEach(c -> assertTrue(c.slackSeconds() >= 0, c.toString()));
    }
}
