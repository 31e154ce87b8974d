package underhand.bench;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import underhand.arrange.Arranger;
import underhand.arrange.Sweep;
import underhand.chart.Bar;
import underhand.chart.Chart;
import underhand.chart.Metre;
import underhand.chart.Placement;
import underhand.chart.Section;
import underhand.chart.TuneNote;
import underhand.chord.ChordSymbol;
import underhand.pitch.Pitch;
import underhand.settings.ArrangementSettings;
import underhand.settings.ReadingChoice;

/** Charts of any length for measuring: eight chords that come again. */
final class Songs {

    private static final List<ChordSymbol> CHORDS = Arrays.stream("G Em7 Cadd9 D Am7 D7 Bm7 E7".split(" "))
            .map(ChordSymbol::parse)
            .toList();

    private Songs() {}

    /** A chart of so many bars, one chord each. */
    static Chart of(int bars) {
        List<Bar> all = new ArrayList<>();
        for (int bar = 0; bar < bars; bar++) {
            Optional<ChordSymbol> chord = Optional.of(CHORDS.get(bar % CHORDS.size()));
            all.add(new Bar(Metre.COMMON, List.of(new Placement(chord, 1, 4, ""))));
        }
        return new Chart(
                "",
                Optional.empty(),
                Metre.COMMON,
                OptionalInt.empty(),
                OptionalInt.empty(),
                Optional.empty(),
                List.of(new Section("", Optional.empty(), all)));
    }

    /** The same with a tune of eighths that goes up and down the scale of G. */
    static Chart sung(int bars) {
        int[] scale = {67, 69, 71, 72, 74, 76, 74, 72, 71, 69};
        List<Bar> all = new ArrayList<>();
        int next = 0;
        for (Bar bar : of(bars).sections().get(0).bars()) {
            List<TuneNote> tune = new ArrayList<>();
            for (int eighth = 0; eighth < 8; eighth++) {
                tune.add(new TuneNote(Pitch.ofMidi(scale[next++ % scale.length]), eighth / 2.0, 0.5));
            }
            all.add(bar.with(List.of(bar.placements().get(0).withTune(tune))));
        }
        Chart plain = of(bars);
        return plain.withSections(List.of(new Section("", Optional.empty(), all)));
    }

    /** The first so many readings that the rules propose for each placement, accepted. */
    static List<ReadingChoice> accepting(int readings, Arranger arranger, Chart song, int rung) {
        Sweep sweep = arranger.sweep(song, ArrangementSettings.ofRung(rung).withCapo(0));
        List<ReadingChoice> choices = new ArrayList<>();
        for (int placement = 0; placement < song.placements().size(); placement++) {
            int at = placement;
            sweep.judgement(placement).stream()
                    .flatMap(j -> j.readings().stream().limit(readings))
                    .forEach(r -> choices.add(new ReadingChoice(at, r.id(), ReadingChoice.Verdict.ACCEPTED)));
        }
        return choices;
    }
}
