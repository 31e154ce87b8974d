package underhand.format.text;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Parts of a song that were typed without chords where an earlier part of the same sort has some: an empty chorus, a second
 * verse of words. Its chords are offered, never taken: what is offered is an edit of the text.
 */
final class PartsAgain {

    private static final Pattern WORD = Pattern.compile("\\S+");

    /** A line of chords and the words under it. */
    private record Row(Line chords, Optional<Line> words) {}

    private record Part(Heading heading, Line line, List<Row> rows, List<Line> words) {}

    private final List<Part> parts = new ArrayList<>();

    void begin(Heading heading, Line line) {
        parts.add(new Part(heading, line, new ArrayList<>(), new ArrayList<>()));
    }

    void chords(Line line, Optional<Line> words) {
        if (!parts.isEmpty()) {
            parts.get(parts.size() - 1).rows().add(new Row(line, words));
        }
    }

    void words(Line line) {
        if (!parts.isEmpty()) {
            parts.get(parts.size() - 1).words().add(line);
        }
    }

    /** Reports every part without chords that could have those of an earlier one. */
    void offer(Consumer<Fault> faults) {
        for (int i = 0; i < parts.size(); i++) {
            Part part = parts.get(i);
            if (!part.rows().isEmpty()) {
                continue;
            }
            Optional<Part> earlier = earlier(i);
            SourceLine line = part.line().source();
            String name = part.heading().name();
            int at = Math.max(line.indent(), line.text().indexOf(name));
            if (earlier.isEmpty()) {
                faults.accept(Fault.told(line, at, name, "has no chords; it stands on the page and is not played"));
            } else {
                String from = earlier.get().heading().name();
                boolean empty = part.words().isEmpty();
                faults.accept(Fault.unsure(
                        line,
                        at,
                        name,
                        empty
                                ? "is empty; it may be " + from + " again"
                                : "has words only; they may have the chords of " + from,
                        List.of(empty ? again(part, earlier.get()) : over(part, earlier.get()))));
            }
        }
    }

    private Optional<Part> earlier(int at) {
        String kind = Heading.kind(parts.get(at).heading().name());
        for (int i = at - 1; i >= 0; i--) {
            Part part = parts.get(i);
            if (!part.rows().isEmpty() && Heading.kind(part.heading().name()).equals(kind)) {
                return Optional.of(part);
            }
        }
        return Optional.empty();
    }

    /** The whole earlier part under the empty heading. */
    private static Fault.Mend again(Part part, Part earlier) {
        List<String> lines = new ArrayList<>(List.of(part.line().source().source()));
        for (Row row : earlier.rows()) {
            lines.add(row.chords().body().text().stripTrailing());
            row.words().ifPresent(words -> lines.add(words.source().source()));
        }
        return part.line()
                .source()
                .replacedBy("Write " + earlier.heading().name() + " again", String.join("\n", lines));
    }

    /** The chords of the earlier part over the words of this one, line by line, syllable by syllable. */
    private static Fault.Mend over(Part part, Part earlier) {
        List<String> lines = new ArrayList<>();
        Line first = part.words().get(0);
        Line last = part.words().get(part.words().size() - 1);
        boolean onHeading = first.source().number() == part.line().source().number();
        if (onHeading) {
            lines.add(first.source().text().substring(0, part.heading().end()).stripTrailing());
        }
        int number = first.source().number();
        for (int i = 0; i < part.words().size(); i++) {
            Line words = part.words().get(i);
            for (; number < words.source().number(); number++) {
                lines.add("");
            }
            number++;
            if (i < earlier.rows().size()) {
                lines.add(row(earlier.rows().get(i), words.body().text().stripTrailing()));
            }
            lines.add(words.body().text().stripTrailing());
        }
        for (int i = part.words().size(); i < earlier.rows().size(); i++) {
            lines.add(row(earlier.rows().get(i), ""));
        }
        return new Fault.Mend(
                "Take the chords of " + earlier.heading().name(),
                first.source().number(),
                1,
                last.source().number(),
                1 + last.source().source().length(),
                String.join("\n", lines));
    }

    /** A line of chords for other words. */
    private static String row(Row row, String words) {
        StringBuilder sung = new StringBuilder();
        List<Integer> at = new ArrayList<>();
        boolean bracketed = row.chords().kind() == Line.Kind.BRACKETED;
        for (Piece piece : row.chords().pieces()) {
            if (bracketed) {
                at.add(sung.length());
                sung.append(piece.kind() == Piece.Kind.WORDS ? piece.text().replaceAll("-$", "") : "");
            } else {
                at.add(piece.at());
            }
        }
        String before = bracketed
                ? sung.toString()
                : row.words().map(w -> w.body().text()).orElse("");
        List<Integer> syllablesBefore = syllables(before);
        List<Integer> syllables = syllables(words);
        StringBuilder line = new StringBuilder();
        for (int i = 0; i < at.size(); i++) {
            Piece piece = row.chords().pieces().get(i);
            if (piece.kind() == Piece.Kind.WORDS) {
                continue;
            }
            boolean placed = piece.token() != null && !words.isEmpty() && !before.isBlank();
            int target = placed ? moved(at.get(i), before, syllablesBefore, words, syllables) : 0;
            boolean glued = piece.kind() == Piece.Kind.STROKE;
            line.append(line.isEmpty() || glued ? "" : " ");
            line.append(" ".repeat(Math.max(0, target - line.length()))).append(piece.text());
        }
        return line.toString();
    }

    private static int moved(
            int at, String before, List<Integer> syllablesBefore, String words, List<Integer> syllables) {
        int nearest = 0;
        for (int i = 1; i < syllablesBefore.size(); i++) {
            if (Math.abs(syllablesBefore.get(i) - at) <= Math.abs(syllablesBefore.get(nearest) - at)) {
                nearest = i;
            }
        }
        boolean after = at >= before.stripTrailing().length();
        return after || nearest >= syllables.size() ? words.length() + 1 : syllables.get(nearest);
    }

    private static List<Integer> syllables(String words) {
        List<Integer> all = new ArrayList<>();
        Matcher word = WORD.matcher(words);
        while (word.find()) {
            Syllables.starts(word.group()).forEach(start -> all.add(word.start() + start));
        }
        return all.isEmpty() ? List.of(0) : all;
    }
}
