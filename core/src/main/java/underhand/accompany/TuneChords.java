package underhand.accompany;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import underhand.chart.Bar;
import underhand.chart.Chart;
import underhand.chart.Section;
import underhand.chord.ChordSymbol;
import underhand.harmony.KeyFinder;
import underhand.input.RangeException;
import underhand.pitch.Key;

/**
 * Chords for the bars of a tune that have none. A row of chords is priced by how well each holds its bar's notes, how ordinary
 * it is in the key, and how it follows the one before; every bar is offered the three chords with which the best row through
 * it costs least. Chords that stand in the chart or were chosen stay, and the others follow them.
 */
public final class TuneChords {

    /** Chords a bar is offered. */
    public static final int OFFERED = 3;

    /**
     * A chord for a bar.
     *
     * @param reason its degree, what of the bar's tune it holds, where it leads
     * @param dearer price of the best row with it above the best row of all, in no unit; 0 for the first of a bar that
     *     nothing was chosen for
     */
    public record Proposal(ChordSymbol chord, String reason, double dearer) {}

    /**
     * A bar without chords.
     *
     * @param bar number in the song, from 1
     * @param section its name, may be blank
     * @param chosen what was chosen for it
     * @param proposals the best first
     */
    public record Offer(int bar, String section, Optional<ChordSymbol> chosen, List<Proposal> proposals) {
        public Offer {
            proposals = List.copyOf(proposals);
        }

        /** What it gets. */
        public ChordSymbol chord() {
            return chosen.orElseGet(() -> proposals.get(0).chord());
        }
    }

    private final Chart chart;
    private final Key key;
    private final List<Offer> offers;

    private TuneChords(Chart chart, Key key, List<Offer> offers) {
        this.chart = chart;
        this.key = key;
        this.offers = List.copyOf(offers);
    }

    /** Bars that wait for chords: a tune over some of them, and nothing to play. 0 for a song without a tune. */
    public static int waiting(Chart chart) {
        return chart.hasTune()
                ? (int) SungBar.of(chart).stream().filter(SungBar::isFree).count()
                : 0;
    }

    /**
     * @param chosen chords by the number of their bar
     * @throws RangeException when the chart has no tune, or a bar that is chosen for has chords or is none
     */
    public static TuneChords of(Chart chart, Map<Integer, ChordSymbol> chosen) {
        if (!chart.hasTune()) {
            throw new RangeException(
                    "source",
                    "Chords are found for a tune: write one under the bars first, such as tune: C4 D4 E4 F4 |.");
        }
        List<SungBar> bars = SungBar.of(chart);
        chosen.keySet().forEach(bar -> {
            if (bar < 1 || bar > bars.size() || !bars.get(bar - 1).isFree()) {
                throw new RangeException(
                        "chosen", "Bar " + bar + " waits for no chord; chords can be chosen for bars that have none.");
            }
        });
        Key key = KeyFinder.keyOf(chart);
        return new TuneChords(chart, key, new ChordRow(bars, key, chosen).offers(OFFERED));
    }

    /** As the chart states it, or as the tune has it. */
    public Key key() {
        return key;
    }

    /** Every bar without chords, in their order. */
    public List<Offer> offers() {
        return offers;
    }

    /** The chart with what was chosen, and the first proposal everywhere else. */
    public Chart accompanied() {
        List<Section> sections = new ArrayList<>();
        int number = 0;
        int offer = 0;
        for (Section section : chart.sections()) {
            List<Bar> bars = new ArrayList<>();
            for (Bar bar : section.bars()) {
                number++;
                if (offer < offers.size() && offers.get(offer).bar() == number) {
                    Optional<ChordSymbol> chord =
                            Optional.of(offers.get(offer++).chord());
                    bars.add(bar.with(bar.placements().stream()
                            .map(p -> p.withChord(chord))
                            .toList()));
                } else {
                    bars.add(bar);
                }
            }
            sections.add(new Section(section.name(), section.key(), bars));
        }
        return chart.withSections(sections).withKey(key);
    }
}
