package underhand.format.text;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.TreeMap;
import java.util.stream.Collectors;
import underhand.chart.Bar;
import underhand.chart.Chart;
import underhand.chart.Metre;
import underhand.chart.Placement;
import underhand.chart.Section;
import underhand.chart.TuneNote;
import underhand.chord.ChordSymbol;
import underhand.pitch.Key;
import underhand.pitch.Pitch;

/** Puts bars into sections as they are read, and writes repeats out. */
final class ChartBuilder {

    /** Words without chords and how many bars of their part stand before them. */
    private record Spoken(int bar, String line) {}

    private record OpenSection(String name, int times, Optional<Key> key, List<Bar> bars, List<Spoken> words) {
        boolean isEmpty() {
            return bars.isEmpty() && words.isEmpty();
        }
    }

    /** A line of chords: the bars of its section from one up to another. */
    private record OpenLine(int number, int last, int tuneLine, List<Bar> section, int from, int to) {

        OpenLine withTune(int line) {
            return new OpenLine(number, last, line, section, from, to);
        }

        ChartReading.ChordLine close() {
            return new ChartReading.ChordLine(
                    number,
                    last,
                    tuneLine == 0 ? OptionalInt.empty() : OptionalInt.of(tuneLine),
                    section.subList(from, to));
        }
    }

    private static final double SAME = 1e-6;

    private final List<OpenSection> sections = new ArrayList<>();
    private final List<OpenLine> lines = new ArrayList<>();
    private int placements;
    private int repeatFrom;

    /** Bars before the first ending of a repeat; they come again before each further ending. */
    private List<Bar> beforeEndings = List.of();

    private int beforeEndingsAt;

    /** Bar of the section the last line of chords begins with. */
    private int lineFrom;

    /** Key of the sections from here on, where the chart states one. */
    private Optional<Key> key = Optional.empty();

    private Optional<ChordSymbol> lastChord = Optional.empty();

    /**
     * Begins a section; a repeat that was opened before it is forgotten.
     *
     * @param times how often it is played
     */
    void section(String name, int times) {
        finishSection();
        sections.add(new OpenSection(name, times, key, new ArrayList<>(), new ArrayList<>()));
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
            OpenSection open = sections.get(sections.size() - 1);
            if (open.isEmpty()) {
                sections.remove(sections.size() - 1);
            }
            section(open.name(), open.isEmpty() ? open.times() : 1);
        }
    }

    /** The part that was written once is played as often as its heading says. */
    private void finishSection() {
        if (!sections.isEmpty()) {
            repeat(0, sections.get(sections.size() - 1).times());
        }
    }

    boolean isEmpty() {
        return placements == 0;
    }

    /** Whether a section was begun that has no bars yet. */
    boolean awaitsBars() {
        return sections.isEmpty() || bars().isEmpty();
    }

    /** Adds a line of words that has no chords. */
    void words(String line) {
        int bar = bars().size();
        sections.get(sections.size() - 1).words().add(new Spoken(bar, line));
    }

    Optional<ChordSymbol> lastChord() {
        return lastChord;
    }

    void bar(Bar bar) {
        placements += bar.placements().size();
        if (placements > Chart.MOST_PLACEMENTS) {
            throw ChartLimitException.placements(Chart.MOST_PLACEMENTS);
        }
        bars().add(bars().size() == lineFrom ? bar.atLineStart() : bar);
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

    /**
     * The line of chords that was begun last is read.
     *
     * @param last number of its last line, the words sung to it among them
     */
    void lineEnds(int number, int last) {
        lines.add(new OpenLine(number, last, 0, bars(), Math.min(lineFrom, bars().size()), bars().size()));
    }

    /** The lines of chords, after {@link #build}. */
    List<ChartReading.ChordLine> lines() {
        return lines.stream().map(OpenLine::close).toList();
    }

    /** Writes a tune over the bars of the last line of chords; how many of its bars found one. */
    int tune(int number, List<List<TuneLine.Cell>> tune) {
        if (!lines.isEmpty()) {
            lines.add(lines.remove(lines.size() - 1).withTune(number));
        }
        int fitting = Math.min(tune.size(), bars().size() - Math.min(lineFrom, bars().size()));
        for (int i = 0; i < fitting; i++) {
            int at = lineFrom + i;
            bars().set(at, BarFiller.withTune(bars().get(at), tune.get(i), soundingBefore(at)));
        }
        return fitting;
    }

    /** The note that sounds to the end of the bar before one of the section. */
    private Optional<Pitch> soundingBefore(int at) {
        List<Bar> before = at > 0
                ? bars()
                : sections.size() > 1 ? sections.get(sections.size() - 2).bars() : List.of();
        int last = at > 0 ? at - 1 : before.size() - 1;
        if (last < 0) {
            return Optional.empty();
        }
        List<Placement> placed = before.get(last).placements();
        Placement end = placed.get(placed.size() - 1);
        return end.tune().stream()
                .filter(n -> n.from() + n.beats() > end.beats() - SAME)
                .map(TuneNote::pitch)
                .findFirst();
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
            section("", 1);
        }
        return sections.get(sections.size() - 1).bars();
    }

    /** The sections that have bars, in the order of the song. */
    List<Section> build() {
        finishSection();
        return sections.stream()
                .filter(s -> !s.bars().isEmpty())
                .map(s -> new Section(s.name(), s.key(), s.bars()))
                .toList();
    }

    /** The words without chords, after {@link #build}. */
    List<Chart.Words> buildWords() {
        List<Chart.Words> words = new ArrayList<>();
        int bars = 0;
        for (OpenSection section : sections) {
            if (section.bars().isEmpty()) {
                Optional<String> heading = Optional.of(section.name()).filter(n -> !n.isEmpty());
                List<String> lines = section.words().stream().map(Spoken::line).toList();
                if (heading.isPresent() || !lines.isEmpty()) {
                    words.add(new Chart.Words(bars, heading, lines));
                }
            } else {
                Map<Integer, List<String>> byBar = section.words().stream()
                        .collect(Collectors.groupingBy(
                                Spoken::bar, TreeMap::new, Collectors.mapping(Spoken::line, Collectors.toList())));
                for (Map.Entry<Integer, List<String>> at : byBar.entrySet()) {
                    words.add(new Chart.Words(bars + at.getKey(), Optional.empty(), at.getValue()));
                }
            }
            bars += section.bars().size();
        }
        return words;
    }

    Bar fill(BarFiller filler, Metre metre, OptionalDouble pickUp) {
        return filler.fill(metre, lastChord, pickUp, isEmpty());
    }
}
