package underhand.format;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import underhand.chart.Chart;

/**
 * Reads a chart from plain text, line by line, in two layouts that may be mixed: chords in square brackets inside the
 * words, and a line of chords over a line of words; with bars, drawn beats and repeats, headers and sections.
 *
 * <p>Total: every text gives a chart. What is not understood is left out of the chart and reported with line and
 * column. Time and memory O(n) for n characters.
 */
public final class ChartTextReader {

    public static final int MOST_BYTES = 256 * 1024;

    private static final int MOST_FAULTS = 200;
    private static final int LONGEST_SECTION_NAME = 60;
    private static final Pattern BRACKETED = Pattern.compile("\\[([^\\[\\]]*)]");
    private static final Pattern SECTION_WITH_COLON = Pattern.compile("\\s*([\\p{L}][^:|\\[\\]]*?)\\s*:\\s*");

    private final ChartHeaders headers = new ChartHeaders();
    private final ChartBuilder builder = new ChartBuilder();
    private final List<Fault> faults = new ArrayList<>();
    private boolean anythingRead;

    private ChartTextReader() {}

    /** @throws ChartLimitException when the text or what it unrolls to is too large */
    public static ChartReading read(String source) {
        int bytes = source.getBytes(StandardCharsets.UTF_8).length;
        if (bytes > MOST_BYTES) {
            throw ChartLimitException.bytes(bytes, MOST_BYTES);
        }
        return new ChartTextReader()
                .readLines(source.replace("\uFEFF", "").lines().toList());
    }

    private ChartReading readLines(List<String> lines) {
        for (int i = 0; i < lines.size(); i++) {
            boolean tookNext = readLine(lines, i);
            i += tookNext ? 1 : 0;
        }
        Chart chart = new Chart(
                headers.title,
                builder.isEmpty() ? headers.key : headers.firstKey,
                builder.isEmpty() ? headers.metre : headers.firstMetre,
                headers.tempo,
                headers.capo,
                headers.tuning,
                builder.build());
        return new ChartReading(chart, faults.stream().limit(MOST_FAULTS).toList());
    }

    /** Reads one line; true when it took the words in the line after it too. */
    private boolean readLine(List<String> lines, int at) {
        String line = lines.get(at);
        int number = at + 1;
        if (line.isBlank()
                || headers.take(line, number, faults::add) != ChartHeaders.Outcome.NOT_A_HEADER
                || isSection(line)) {
            return false;
        }
        if (TuneLine.is(line)) {
            readTune(line, number);
            return false;
        }
        ChordLine words = ChordLine.bracketed(withoutSection(line), number);
        if (words.hasBrackets()) {
            read(words, Optional.empty());
            return false;
        }
        ChordLine chords = ChordLine.spaced(withoutHeading(line), number);
        if (chords.isChordLine()) {
            Optional<String> under = at + 1 < lines.size() ? wordsUnder(lines.get(at + 1)) : Optional.empty();
            read(chords, under);
            return under.isPresent();
        }
        readText(line, number);
        return false;
    }

    private void read(ChordLine line, Optional<String> wordsUnder) {
        anythingRead = true;
        if (builder.isEmpty()) {
            headers.firstMetre = headers.metre;
            headers.firstKey = headers.key;
        }
        builder.key(headers.key);
        builder.line();
        line.into(builder, headers.metre, wordsUnder, faults::add);
    }

    /** A line is sung under the chords above it when it is nothing else: no header, section, brackets or chords. */
    private Optional<String> wordsUnder(String line) {
        return isWords(line) ? Optional.of(line) : Optional.empty();
    }

    /** Whether a line under chords is sung, and neither a header nor a section nor chords. */
    static boolean isWords(String line) {
        boolean other = line.isBlank()
                || TuneLine.is(line)
                || new ChartHeaders().take(line, 1, fault -> {}) != ChartHeaders.Outcome.NOT_A_HEADER
                || sectionName(line).isPresent()
                || ChordLine.bracketed(line, 1).hasBrackets()
                || ChordLine.spaced(line, 1).isChordLine();
        return !other;
    }

    private boolean isSection(String line) {
        Optional<String> name = sectionName(line);
        name.ifPresent(builder::section);
        anythingRead |= name.isPresent();
        return name.isPresent();
    }

    /** Begins the section a line of chords opens with, {@code [Chorus] [G]Row on}, and blanks it out. */
    private String withoutSection(String line) {
        Matcher first = BRACKETED.matcher(line);
        boolean opens = first.find()
                && line.substring(0, first.start()).isBlank()
                && sectionName(first.group()).isPresent();
        if (!opens) {
            return line;
        }
        builder.section(shorten(first.group(1).strip()));
        return " ".repeat(first.end()) + line.substring(first.end());
    }

    /** Begins the section a line of plain chords opens with, {@code Intro: G D Em C}, and blanks it out. */
    private String withoutHeading(String line) {
        int colon = line.indexOf(':');
        if (colon < 0 || colon + 1 == line.length() || !Character.isWhitespace(line.charAt(colon + 1))) {
            return line;
        }
        Optional<String> name = sectionName(line.substring(0, colon + 1));
        String chords = " ".repeat(colon + 1) + line.substring(colon + 1);
        if (name.isEmpty() || !ChordLine.spaced(chords, 1).isChordLine()) {
            return line;
        }
        builder.section(name.get());
        return chords;
    }

    /** The name of the section a line begins; empty when it begins none. */
    static Optional<String> sectionName(String line) {
        Matcher bracketed = BRACKETED.matcher(line.strip());
        if (bracketed.matches()) {
            String name = bracketed.group(1).strip();
            boolean meantAsChord = ChordToken.of(name, 1).isMeant() && !name.contains(" ");
            return name.isEmpty() || meantAsChord ? Optional.empty() : Optional.of(shorten(name));
        }
        Matcher colon = SECTION_WITH_COLON.matcher(line);
        return colon.matches() ? Optional.of(shorten(colon.group(1))) : Optional.empty();
    }

    private void readTune(String line, int number) {
        List<List<TuneLine.Cell>> tune = TuneLine.read(line, number, faults::add);
        if (builder.isEmpty() || builder.tune(tune) < tune.size()) {
            faults.add(new Fault(
                    number,
                    1,
                    line.strip(),
                    "has more bars of tune than the line of chords above it",
                    Optional.empty()));
        }
    }

    private static String shorten(String name) {
        return name.length() <= LONGEST_SECTION_NAME ? name : name.substring(0, LONGEST_SECTION_NAME);
    }

    private void readText(String line, int number) {
        if (!anythingRead && headers.title.isEmpty() && !line.contains("|")) {
            headers.title = line.strip();
            anythingRead = true;
            return;
        }
        int column = 1 + line.length() - line.stripLeading().length();
        faults.add(new Fault(number, column, line.strip(), "has no chords; kept as text", Optional.empty()));
    }
}
