package underhand.accompany;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import underhand.chart.Bar;
import underhand.chart.Chart;
import underhand.chart.Placement;
import underhand.format.text.ChartTextReader;
import underhand.format.text.ChartTextWriter;
import underhand.input.RangeException;
import underhand.solo.Tunes;

/** An intro of the tune's last bars. */
class IntroTest {

    static List<String> tunes() {
        return Tunes.ALL;
    }

    private static Chart read(String text) {
        return ChartTextReader.read(text).chart();
    }

    private static List<Bar> bars(Chart chart) {
        return chart.sections().stream().flatMap(s -> s.bars().stream()).toList();
    }

    private static List<List<Placement>> music(List<Bar> bars) {
        return bars.stream().map(Bar::placements).toList();
    }

    private static double beats(Bar bar) {
        return bar.placements().stream().mapToDouble(Placement::beats).sum();
    }

    @Test
    void lastBars_standBeforeTheSong_withoutTheirWords() {
        Chart chart = read("key: G\n[Verse]\n| G | C | D | G |\ntune: G4 . . . | E4 . . . | F#4 . . . | G4 . B4 . |\n");
        Chart with = Intro.before(chart, 2);
        assertEquals("Intro", with.sections().get(0).name());
        assertEquals(chart.sections(), with.sections().subList(1, 2));
        assertEquals(
                music(chart.sections().get(0).bars().subList(2, 4)),
                music(with.sections().get(0).bars()));
    }

    @Test
    void pickUp_isSungOverItsEnd() {
        Chart chart = read("""
                metre: 3/4
                pickup: 1
                | D | G | D | G |
                tune: D4 | G4 . B4 | A4 . F#4 | G4 . . |
                """);
        Chart with = Intro.before(chart, 2);
        Bar last = with.sections().get(0).bars().get(1);
        assertEquals(
                List.of("G 1.0 2.0", "D 3.0 1.0"),
                last.placements().stream()
                        .map(p -> p.chord().orElseThrow() + " " + p.beat() + " " + p.beats())
                        .toList());
        assertEquals(5, with.bars());
    }

    /** Real tunes: the song itself is the same, every bar of the intro is full, and it reads back as it was. */
    @ParameterizedTest
    @MethodSource("tunes")
    void publicDomainTunes_keepTheirSong(String name) {
        Chart chart = Tunes.chart(name);
        Chart with = Intro.before(chart, Intro.BARS);
        List<Bar> intro = with.sections().get(0).bars();
        intro.forEach(bar -> assertEquals(bar.metre().beats(), beats(bar), 1e-9));
        List<Bar> song = bars(chart);
        List<Bar> rest = bars(with).subList(intro.size(), with.bars());
        assertEquals(music(song.subList(song.size() - rest.size(), song.size())), music(rest));
        assertEquals(
                with.sections(),
                ChartTextReader.read(ChartTextWriter.write(with)).chart().sections());
    }

    @Test
    void whereThereIsNoTune_orAnIntro_isRefused() {
        assertThrows(RangeException.class, () -> Intro.before(read("| C | G |"), 4));
        Chart chart = Tunes.chart("augustin");
        assertThrows(RangeException.class, () -> Intro.before(chart, 0));
        assertThrows(RangeException.class, () -> Intro.before(chart, 17));
        assertThrows(RangeException.class, () -> Intro.before(Intro.before(chart, 4), 4));
    }
}
