package underhand.format;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import underhand.chart.Bar;
import underhand.chart.Chart;
import underhand.chart.Metre;
import underhand.chart.Placement;
import underhand.chart.Section;
import underhand.chord.ChordSymbol;
import underhand.pitch.Key;

/** Puts bars into sections as they are read, and writes repeats out. */
final class ChartBuilder {

    private record OpenSection(String name, Optional<Key> key, List<Bar> bars) {}

    private final List<OpenSection> sections = new ArrayList<>();
    private int placements;
    private int repeatFrom;

    /** Bars before the first ending of a repeat; they come again before each further ending. */
    private List<Bar> beforeEndings = List.of();

    private int beforeEndingsAt;

    /** Bar of the section the last line of chords began with. */
    private int lineFrom;

    /** Key of the sections from here on, where the chart states one. */
    private Optional<Key> key = Optional.empty();

    private Optional<ChordSymbol> lastChord = Optional.empty();

    /** Begins a section; a repeat that was opened before it is forgotten. */
    void section(String name) {
        sections.add(new OpenSection(name, key, new ArrayList<>()));
        repeatFrom = 0;
        lineFrom = 0;
        beforeEndings = List.of();
    }

    /** Sections have this key from now on; one that has bars already goes on as a section of the same name. */
    void key(Optional<Key> newKey) {
        if (newKey.equals(key)) {
            return;
        }
        key = newKey;
        if (!sections.isEmpty()) {
            section(sections.get(sections.size() - 1).name());
        }
    }

    boolean isEmpty() {
        return placements == 0;
    }

    Optional<ChordSymbol> lastChord() {
        return lastChord;
    }

    void bar(Bar bar) {
        placements += bar.placements().size();
        if (placements > Chart.MOST_PLACEMENTS) {
            throw ChartLimitException.placements(Chart.MOST_PLACEMENTS);
        }
        bars().add(bar);
        for (Placement placement : bar.placements()) {
            lastChord = placement.chord();
        }
    }

    /** The last bar read, if the section has one. */
    Optional<Bar> lastBar() {
        return bars().isEmpty() ? Optional.empty() : Optional.of(bars().get(bars().size() - 1));
    }

    /** Adds words to the last chord read. */
    void lyric(String words) {
        lastBar().filter(bar -> !bar.placements().isEmpty()).ifPresent(bar -> {
            List<Placement> changed = new ArrayList<>(bar.placements());
            Placement last = changed.remove(changed.size() - 1);
            changed.add(last.withLyric(BarFiller.tidy(last.lyric() + " " + words)));
            bars().set(bars().size() - 1, bar.with(changed));
        });
    }

    /** A line of chords begins here; a tune written under it belongs to its bars. */
    void line() {
        lineFrom = bars().size();
    }

    /** Writes a tune over the bars of the last line of chords; how many of its bars found one. */
    int tune(List<List<TuneLine.Cell>> tune) {
        int fitting = Math.min(tune.size(), bars().size() - Math.min(lineFrom, bars().size()));
        for (int i = 0; i < fitting; i++) {
            bars().set(lineFrom + i, BarFiller.withTune(bars().get(lineFrom + i), tune.get(i)));
        }
        return fitting;
    }

    int barsInSection() {
        return bars().size();
    }

    void openRepeat() {
        repeatFrom = bars().size();
        beforeEndings = List.of();
    }

    /** An ending of a repeat begins here. */
    void ending() {
        if (beforeEndings.isEmpty()) {
            beforeEndingsAt = Math.min(repeatFrom, bars().size());
            beforeEndings = List.copyOf(bars().subList(beforeEndingsAt, bars().size()));
        }
    }

    /** Writes out the bars since the repeat was opened, or since the section began, so that they stand {@code times}. */
    void closeRepeat(int times) {
        if (beforeEndings.isEmpty()) {
            repeat(repeatFrom, times);
        } else {
            int after = bars().size() - beforeEndingsAt;
            beforeEndings.forEach(bar -> bar(bar.repeatedAfter(after)));
        }
        repeatFrom = bars().size();
    }

    void repeat(int from, int times) {
        List<Bar> written = bars().subList(Math.min(from, bars().size()), bars().size());
        List<Bar> again =
                written.stream().map(bar -> bar.repeatedAfter(written.size())).toList();
        for (int time = 1; time < times; time++) {
            again.forEach(this::bar);
        }
    }

    private List<Bar> bars() {
        if (sections.isEmpty()) {
            section("");
        }
        return sections.get(sections.size() - 1).bars();
    }

    List<Section> build() {
        return sections.stream()
                .filter(s -> !s.bars().isEmpty())
                .map(s -> new Section(s.name(), s.key(), s.bars()))
                .toList();
    }

    Bar fill(BarFiller filler, Metre metre) {
        return filler.fill(metre, lastChord, isEmpty());
    }
}
