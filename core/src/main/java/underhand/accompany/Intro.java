package underhand.accompany;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import underhand.chart.Bar;
import underhand.chart.Chart;
import underhand.chart.Placement;
import underhand.chart.Section;
import underhand.chart.TuneNote;
import underhand.input.RangeException;

/**
 * An intro as players make one (common practice): the last bars of the tune with their chords, without words, before the song
 * begins. A pick-up is sung over the end of its last bar.
 */
public final class Intro {

    /** Bars of an intro nobody said the length of: a line of a plain tune. */
    public static final int BARS = 4;

    public static final int MOST = 16;

    private static final String NAME = "Intro";
    private static final double SAME = 1e-6;

    private Intro() {}

    /**
     * The song with its last bars before it.
     *
     * @param bars how many, 1 to {@link #MOST}; a shorter last section gives what it has
     * @throws RangeException when the chart has no tune or no such intro is possible
     */
    public static Chart before(Chart chart, int bars) {
        RangeException.check("bars", bars, 1, MOST);
        Section last = chart.sections().stream()
                .filter(Intro::isSung)
                .reduce((one, other) -> other)
                .orElseThrow(() -> new RangeException(
                        "source", "An intro is made of the tune's last bars; this song has no tune yet"));
        if (chart.sections().get(0).name().equals(NAME)) {
            throw new RangeException("source", "This song begins with an intro already");
        }
        List<Bar> taken =
                new ArrayList<>(last
                        .bars()
                        .subList(
                                Math.max(0, last.bars().size() - bars),
                                last.bars().size())
                        .stream()
                        .map(bar -> new Bar(
                                bar.metre(),
                                bar.placements().stream()
                                        .map(Placement::withoutLyric)
                                        .toList(),
                                0,
                                bar.newLine()))
                        .toList());
        Optional<Bar> pickUp = pickUp(chart);
        pickUp.ifPresent(up -> taken.set(taken.size() - 1, joined(taken.get(taken.size() - 1), up)));
        return (pickUp.isPresent() ? withoutFirstBar(chart) : chart).withFirst(new Section(NAME, last.key(), taken));
    }

    private static boolean isSung(Section section) {
        return section.bars().stream()
                .flatMap(b -> b.placements().stream())
                .anyMatch(p -> !p.tune().isEmpty());
    }

    /** The song's first bar, where it begins after its first beat. */
    private static Optional<Bar> pickUp(Chart chart) {
        Bar first = chart.sections().get(0).bars().get(0);
        boolean begins = first.placements().get(0).beat() > 1 + SAME;
        return begins && chart.sections().get(0).bars().size() > 1 ? Optional.of(first) : Optional.empty();
    }

    private static Chart withoutFirstBar(Chart chart) {
        List<Section> sections = new ArrayList<>(chart.sections());
        Section first = sections.get(0);
        sections.set(
                0,
                new Section(
                        first.name(),
                        first.key(),
                        first.bars().subList(1, first.bars().size())));
        return chart.withSections(sections);
    }

    /** A bar whose end is a pick-up. */
    private static Bar joined(Bar bar, Bar up) {
        double from = up.placements().get(0).beat();
        List<Placement> placements = new ArrayList<>();
        for (Placement placement : bar.placements()) {
            double room = from - placement.beat();
            if (room > SAME) {
                double beats = Math.min(room, placement.beats());
                placements.add(new Placement(
                        placement.chord(),
                        placement.beat(),
                        beats,
                        placement.lyric(),
                        placement.tune().stream()
                                .filter(n -> n.from() < beats - SAME)
                                .map(n -> new TuneNote(
                                        n.pitch(), n.from(), Math.min(n.beats(), beats - n.from()), n.tied()))
                                .toList()));
            }
        }
        placements.addAll(up.placements());
        return bar.with(placements);
    }
}
