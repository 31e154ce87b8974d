package underhand.format.text;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import underhand.chart.Chart;

/**
 * Reads a chart from plain text, line by line, in two layouts that may be mixed: chords in square brackets inside the
 * words, and a line of chords over a line of words; with bars, drawn beats and repeats, headers and sections.
 *
 * <p>Total: every text gives a chart. Words without chords are part of it. What is not understood, or could be meant
 * otherwise, is reported with line and column. Time and memory O(n) for n characters.
 */
public final class ChartTextReader {

    public static final int MOST_BYTES = 256 * 1024;

    /** How a line begins that holds what was decided for a song, and is no part of its chart. */
    public static final String EXTRA_MARK = "# underhand:";

    private static final int MOST_FAULTS = 200;

    private final ChartHeaders headers = new ChartHeaders();
    private final ChartBuilder builder = new ChartBuilder();
    private final List<Fault> faults = new ArrayList<>();
    private final List<Line> lines;
    private final PartsAgain again = new PartsAgain();
    private boolean anythingRead;

    private ChartTextReader(List<SourceLine> source) {
        this.lines = LineSorter.sort(source, faults::add);
    }

    /** @throws ChartLimitException when the text or what it unrolls to is too large */
    public static ChartReading read(String source) {
        int bytes = source.getBytes(StandardCharsets.UTF_8).length;
        if (bytes > MOST_BYTES) {
            throw ChartLimitException.bytes(bytes, MOST_BYTES);
        }
        List<SourceLine> lines = new ArrayList<>();
        source.lines().forEach(line -> lines.add(SourceLine.of(lines.size() + 1, line)));
        return new ChartTextReader(lines).readLines();
    }

    private ChartReading readLines() {
        for (int i = 0; i < lines.size(); i++) {
            boolean tookNext = readLine(i);
            i += tookNext ? 1 : 0;
        }
        again.offer(faults::add);
        Chart chart = new Chart(
                headers.title,
                builder.isEmpty() ? headers.key : headers.firstKey,
                builder.isEmpty() ? headers.metre : headers.firstMetre,
                headers.tempo,
                headers.capo,
                headers.tuning,
                builder.build(),
                builder.buildWords());
        List<ChartReading.ChordLine> chordLines = builder.lines();
        faults.sort(Comparator.comparingInt(Fault::line).thenComparingInt(Fault::column));
        return new ChartReading(chart, faults.stream().limit(MOST_FAULTS).toList(), Spans.of(lines), chordLines);
    }

    /** Reads one line; true when it took the words in the line after it too. */
    private boolean readLine(int at) {
        Line line = lines.get(at);
        line.heading().ifPresent(heading -> begin(heading, line));
        switch (line.kind()) {
            case HEADER -> headers.take(line.source(), faults::add);
            case TUNE -> readTune(line);
            case BRACKETED -> read(line, Optional.empty());
            case CHORDS -> {
                Optional<Line> words = at + 1 < lines.size()
                        ? Optional.of(lines.get(at + 1)).filter(ChartTextReader::isSung)
                        : Optional.empty();
                read(line, words);
                return words.isPresent();
            }
            case WORDS -> readWords(line);
            case COMMENT -> words(line);
            case TAB -> readTab(at);
            case DIRECTION ->
                LineBars.direction(
                        line.source(), line.source().indent(), line.source().stripped(), faults::add);
            case EXTRA ->
                faults.add(Fault.told(
                        line.source(),
                        0,
                        EXTRA_MARK,
                        "begins a line of Underhand's own that is not used here; kept in the text"));
            case PART_END -> builder.section("", 1);
            case BLANK, HEADING, LETTER -> {
                // A heading is begun above; every letter was settled.
            }
        }
        return false;
    }

    private static boolean isSung(Line line) {
        return line.kind() == Line.Kind.WORDS && line.heading().isEmpty();
    }

    /** Whether a line under chords is sung, and neither a header nor a section nor chords. */
    static boolean isWords(String line) {
        return isSung(new LineReader(Spelling.ENGLISH).read(SourceLine.of(1, line)));
    }

    private void begin(Heading heading, Line line) {
        anythingRead = true;
        builder.section(heading.name(), heading.times());
        again.begin(heading, line);
    }

    private void read(Line line, Optional<Line> words) {
        anythingRead = true;
        if (builder.isEmpty()) {
            headers.firstMetre = headers.metre;
            headers.firstKey = headers.key;
        }
        builder.key(headers.key);
        builder.line();
        again.chords(line, words);
        LineBars.add(line, builder, headers, words.map(w -> w.body().text()), faults::add);
        int number = line.source().number();
        builder.lineEnds(number, words.isPresent() ? number + 1 : number);
    }

    private void readTune(Line line) {
        List<List<TuneLine.Cell>> tune = TuneLine.read(line.source(), faults::add);
        if (builder.isEmpty() || builder.tune(line.source().number(), tune) < tune.size()) {
            faults.add(Fault.unread(
                    line.source(),
                    0,
                    line.source().stripped(),
                    "has more bars of tune than the line of chords above it"));
        }
    }

    private void readWords(Line line) {
        if (!anythingRead && headers.title.isEmpty() && line.heading().isEmpty()) {
            headers.title(line.source());
            anythingRead = true;
        } else {
            words(line);
        }
    }

    private void words(Line line) {
        builder.words(line.body().stripped());
        if (line.kind() == Line.Kind.WORDS) {
            again.words(line);
            faults.add(Fault.told(
                    line.source(), line.body().indent(), line.body().stripped(), "has no chords; kept as words"));
        }
    }

    /** A tab staff is told about once, at its first string. */
    private void readTab(int at) {
        boolean first = at == 0 || lines.get(at - 1).kind() != Line.Kind.TAB;
        if (first) {
            Line line = lines.get(at);
            faults.add(Fault.told(
                    line.source(),
                    line.source().indent(),
                    line.source().stripped(),
                    "begins a tab staff; kept in the text, not read"));
        }
    }
}
