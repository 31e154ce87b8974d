package underhand.format.text;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What one line of a chart is, read alone: a line is what it mostly is. */
final class LineReader {

    /** A string of a tab staff: a name, then dashes with frets among them. */
    private static final Pattern TAB =
            Pattern.compile("\\s*[A-Ga-g]?[#b♯♭]?[0-9]?\\s*[|:]*[-0-9hpbrstvxXPHT~/\\\\|()<>*:=^. ]{6,}");

    private static final int FEWEST_DASHES = 4;

    /** A line that only parts what is above it from what is below. */
    private static final Pattern RULE = Pattern.compile("\\s*(?:-+|=+|_+|\\*+|~+|#+|–+|—+)\\s*");

    /** A line with more than a mark is longer. */
    private static final int LONGEST_MARK = 80;

    private static final Pattern PART = Pattern.compile(
            "\\s*\\{\\s*(?:start_of_|so)([a-z]+)\\s*(?::\\s*(.*?))?\\s*}\\s*|\\s*\\{\\s*(chorus)\\s*(?::.*)?}\\s*");
    private static final Pattern PART_END = Pattern.compile("\\s*\\{\\s*(?:end_of_|eo)[a-z]+\\s*}\\s*");
    private static final Map<String, String> PARTS =
            Map.of("c", "Chorus", "v", "Verse", "b", "Bridge", "t", "Tab", "g", "Grid", "tab", "Tab", "grid", "Grid");
    private static final Pattern COMMENT =
            Pattern.compile("\\s*\\{\\s*(?:comment|c|ci|cb|comment_italic|subtitle|st)\\s*:\\s*(.*?)\\s*}\\s*");
    private static final Pattern DIRECTION = Pattern.compile("\\s*[\\[(]?\\s*" + Marks.DIRECTION + "\\s*[\\])]?\\s*");
    private static final Pattern LETTER = Pattern.compile("\\s*[\\[(]?([A-H])['’]?[\\])]?\\.?\\s*");

    /** Words that are sung whatever they look like. */
    static final String SUNG_MARK = "sung: ";

    private static final Pattern SUNG = Pattern.compile("\\s*sung:");

    private final Tokens tokens;

    LineReader(Spelling spelling) {
        this.tokens = new Tokens(spelling);
    }

    Line read(SourceLine line) {
        String text = line.text();
        if (line.isBlank()
                || text.length() <= LONGEST_MARK && RULE.matcher(text).matches()) {
            return Line.of(line, Line.Kind.BLANK);
        }
        if (text.startsWith(ChartTextReader.EXTRA_MARK)) {
            return Line.of(line, Line.Kind.EXTRA);
        }
        if (isTab(text)) {
            return Line.of(line, Line.Kind.TAB);
        }
        Optional<Line> braced = text.indexOf('{') >= 0 ? braced(line) : Optional.empty();
        if (braced.isPresent()) {
            return braced.get();
        }
        if (new ChartHeaders().take(line, fault -> {}) != ChartHeaders.Outcome.NOT_A_HEADER) {
            return Line.of(line, Line.Kind.HEADER);
        }
        Matcher sung = SUNG.matcher(text);
        if (sung.lookingAt()) {
            return new Line(line, Line.Kind.WORDS, Optional.empty(), line.blankedTo(sung.end()), List.of());
        }
        if (TuneLine.is(text)) {
            return Line.of(line, Line.Kind.TUNE);
        }
        if (text.length() <= LONGEST_MARK && DIRECTION.matcher(text).matches()) {
            return Line.of(line, Line.Kind.DIRECTION);
        }
        if (text.length() <= LONGEST_MARK && LETTER.matcher(text).matches()) {
            return Line.of(line, Line.Kind.LETTER);
        }
        return Heading.whole(text)
                .map(heading -> Line.heading(line, heading))
                .or(() -> begun(line))
                .orElseGet(() -> withoutHeading(line));
    }

    private static boolean isTab(String text) {
        return text.contains("--")
                && text.chars().filter(c -> c == '-').count() >= FEWEST_DASHES
                && TAB.matcher(text).matches();
    }

    /** A line in braces that is no header: a part begins or ends, or a remark. */
    private static Optional<Line> braced(SourceLine line) {
        Matcher part = PART.matcher(line.text());
        if (part.matches()) {
            String sort = part.group(3) != null ? "c" : part.group(1).toLowerCase(Locale.ROOT);
            String usual = PARTS.getOrDefault(sort, sort.substring(0, 1).toUpperCase(Locale.ROOT) + sort.substring(1));
            boolean named = part.group(2) != null && !part.group(2).isBlank();
            String name = named ? part.group(2) : usual;
            return Optional.of(
                    Line.heading(line, new Heading(name, 1, line.text().length(), true)));
        }
        if (PART_END.matcher(line.text()).matches()) {
            return Optional.of(Line.of(line, Line.Kind.PART_END));
        }
        Matcher comment = COMMENT.matcher(line.text());
        if (!comment.matches()) {
            return Optional.empty();
        }
        SourceLine inside = line.endedAt(comment.end(1)).blankedTo(comment.start(1));
        return Optional.of(new Line(line, Line.Kind.COMMENT, Optional.empty(), inside, List.of()));
    }

    /** A line that begins with a heading and goes on with chords, or words. */
    private Optional<Line> begun(SourceLine line) {
        for (Heading heading : Heading.beginning(line.text())) {
            SourceLine rest = line.blankedTo(heading.end());
            Line body = withoutHeading(rest);
            boolean bracketed = line.stripped().startsWith("[");
            boolean marked =
                    bracketed || line.text().substring(0, heading.end()).matches(".*(?::|[-–—]\\s)");
            boolean begins = body.kind() == Line.Kind.WORDS
                    ? heading.known() && marked
                    : marked || body.count(Piece.Kind.CHORD) > 1;
            if (begins) {
                return Optional.of(new Line(line, body.kind(), Optional.of(heading), rest, body.pieces()));
            }
        }
        return Optional.empty();
    }

    private Line withoutHeading(SourceLine line) {
        List<Piece> bracketed = line.text().indexOf('[') >= 0 ? Pieces.bracketed(line.text(), tokens) : List.of();
        if (bracketed.stream().anyMatch(p -> p.token() != null && p.kind() != Piece.Kind.ODD)) {
            return new Line(line, Line.Kind.BRACKETED, Optional.empty(), line, bracketed);
        }
        List<Piece> spaced = Pieces.spaced(line.text(), tokens);
        Line chords = new Line(line, Line.Kind.CHORDS, Optional.empty(), line, spaced);
        return isOfChords(chords) ? chords : Line.of(line, Line.Kind.WORDS);
    }

    /** Whether a line is mostly chords: one odd word for two of them; bar lines say so by themselves. */
    private static boolean isOfChords(Line line) {
        long chords = line.count(Piece.Kind.CHORD);
        long unread = line.count(Piece.Kind.UNREAD);
        long odd = oddWords(line);
        if (line.hasBars()) {
            boolean framed = line.body().stripped().startsWith("|");
            return framed || chords + unread + line.count(Piece.Kind.SAME_BAR) + line.count(Piece.Kind.BEAT) > 0;
        }
        return odd == 0 ? chords > 0 && unread <= chords : chords > 1 && 2 * (odd + unread) <= Math.max(2, chords);
    }

    /** Words among chords that are none; a remark in parentheses is one. */
    static long oddWords(Line line) {
        return line.pieces().stream()
                .filter(p -> p.kind() == Piece.Kind.ODD)
                .mapToLong(p -> p.text().startsWith("(") ? 1 : p.text().split(" +").length)
                .sum();
    }
}
