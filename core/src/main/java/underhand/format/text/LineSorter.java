package underhand.format.text;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.function.Consumer;

/** What the lines of a chart are beside each other: letters that name parts, words under chords, how it spells its notes. */
final class LineSorter {

    /** Parts are seldom lettered past this; a later letter alone is a chord. */
    private static final char LAST_ASKED = 'D';

    private final List<Line> lines;
    private final Consumer<Fault> faults;
    private final Spelling spelling;

    private LineSorter(List<Line> lines, Spelling spelling, Consumer<Fault> faults) {
        this.lines = lines;
        this.spelling = spelling;
        this.faults = faults;
    }

    /** Reads all lines of a text; what can be meant otherwise is reported. */
    static List<Line> sort(List<SourceLine> source, Consumer<Fault> faults) {
        List<Line> lines = read(source, Spelling.ENGLISH);
        SpellingFinder found = SpellingFinder.of(lines, faults);
        if (found.spelling() != Spelling.ENGLISH) {
            lines = read(source, found.spelling());
        }
        LineSorter sorter = new LineSorter(new ArrayList<>(lines), found.spelling(), faults);
        sorter.settle();
        return List.copyOf(sorter.lines);
    }

    private static List<Line> read(List<SourceLine> source, Spelling spelling) {
        LineReader reader = new LineReader(spelling);
        return source.stream().map(reader::read).toList();
    }

    private void settle() {
        TreeSet<String> letters = new TreeSet<>();
        lines.stream().filter(l -> l.kind() == Line.Kind.LETTER).forEach(l -> letters.add(letter(l)));
        for (int at = 0; at < lines.size(); at++) {
            Line line = lines.get(at);
            if (line.kind() == Line.Kind.LETTER) {
                lines.set(at, letter(line, at, letters));
            } else if (isSungUnderChords(line, at)) {
                lines.set(at, Line.of(line.source(), Line.Kind.WORDS));
            }
        }
    }

    /** A line right under chords that looks like a heading nobody knows is sung. */
    private boolean isSungUnderChords(Line line, int at) {
        return at > 0
                && lines.get(at - 1).kind() == Line.Kind.CHORDS
                && line.kind() == Line.Kind.HEADING
                && !line.heading().orElseThrow().known()
                && !line.source().stripped().startsWith("[");
    }

    /** A letter alone names a part where bars follow it, or where the parts are lettered; else it is a chord. */
    private Line letter(Line line, int at, TreeSet<String> letters) {
        String letter = letter(line);
        Optional<Line> next = lines.subList(at + 1, lines.size()).stream()
                .filter(l -> l.kind() != Line.Kind.BLANK && l.kind() != Line.Kind.HEADER)
                .findFirst();
        boolean marked = !Character.isLetter(line.source().stripped().charAt(0));
        boolean barsFollow = next.filter(
                        n -> n.hasBars() || marked && n.kind() == Line.Kind.CHORDS && n.count(Piece.Kind.CHORD) > 1)
                .isPresent();
        boolean lettered = letters.size() > 1
                && letters.first().equals("A")
                && letters.last().charAt(0) - 'A' == letters.size() - 1
                && next.filter(n -> n.hasChords() || marked && n.kind() == Line.Kind.WORDS)
                        .isPresent();
        Line part = Line.heading(
                line.source(), new Heading(letter, 1, line.source().text().length(), true));
        if (barsFollow) {
            return part;
        }
        boolean couldBeEither = lettered
                || marked
                        && letter.charAt(0) <= LAST_ASKED
                        && next.filter(Line::hasChords).isPresent();
        if (couldBeEither) {
            faults.accept(Fault.unsure(
                    line.source(),
                    line.source().indent(),
                    line.source().stripped(),
                    "is read as " + (lettered ? "the name of a part" : "a chord") + "; it could be "
                            + (lettered ? "a chord" : "the name of a part"),
                    List.of(
                            line.source().replacedBy("Part " + letter, "[Part " + letter + "]"),
                            line.source().replacedBy("Chord " + letter, "| " + letter + " |"))));
        }
        return lettered ? part : chord(line);
    }

    private Line chord(Line line) {
        List<Piece> bracketed = Pieces.bracketed(line.source().text(), new Tokens(spelling));
        boolean inBrackets = bracketed.stream().anyMatch(p -> p.kind() == Piece.Kind.CHORD);
        return new Line(
                line.source(),
                inBrackets ? Line.Kind.BRACKETED : Line.Kind.CHORDS,
                Optional.empty(),
                line.source(),
                inBrackets ? bracketed : Pieces.spaced(line.source().text(), new Tokens(spelling)));
    }

    private static String letter(Line line) {
        return line.source().text().replaceAll("[^A-H]", "");
    }
}
