package underhand.chord;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.TreeSet;
import underhand.input.FormatException;
import underhand.pitch.Interval;
import underhand.table.Table;

/**
 * Reads what follows the root of a chord symbol, piece by piece with {@code suffix-tokens.csv}: {@code m7b5},
 * {@code 7(b9,#11)}, {@code -maj7}.
 */
final class SuffixReader {

    private static final Interval MAJOR_THIRD = Interval.parse("M3");
    private static final Interval PERFECT_FIFTH = Interval.parse("P5");
    private static final String SEPARATORS = "(), ";

    private enum Place {
        START,
        LATER,
        ANY;

        boolean allows(boolean first) {
            return this == ANY || (this == START) == first;
        }
    }

    private record Piece(String text, Place place, List<String> effects) {}

    private static final List<Piece> PIECES = load();

    private final String text;
    private final int from;
    private final TreeSet<Interval> intervals = new TreeSet<>();
    private Interval seventh = Interval.parse("m7");
    private int farthest;

    /** @param from index in the whole symbol at which the suffix starts; used in error messages */
    SuffixReader(String symbol, int from, int to) {
        this.text = symbol.substring(0, to);
        this.from = from;
    }

    private static List<Piece> load() {
        List<Piece> pieces = new ArrayList<>();
        Table.read(SuffixReader.class, "suffix-tokens.csv", 3, row -> {
                    Place place = Place.valueOf(row.cell(1));
                    return row.words(0).stream()
                            .map(word -> new Piece(word, place, row.words(2)))
                            .toList();
                })
                .forEach(pieces::addAll);
        pieces.sort(Comparator.comparingInt((Piece p) -> p.text().length()).reversed());
        return List.copyOf(pieces);
    }

    /** Reads the whole suffix; where a longer piece leads nowhere, shorter ones are tried: m add9, not ma dd9. */
    ChordType read() {
        List<Piece> pieces = new ArrayList<>();
        if (!split(from, 0, pieces)) {
            throw FormatException.inText("chord symbol", text, farthest, reason());
        }
        intervals.add(Interval.parse("P1"));
        intervals.add(MAJOR_THIRD);
        intervals.add(PERFECT_FIFTH);
        pieces.forEach(piece -> piece.effects().forEach(this::apply));
        return ChordTypes.STANDARD.of(List.copyOf(intervals));
    }

    private String reason() {
        return farthest < text.length()
                ? "\"" + text.substring(farthest) + "\" is not a known suffix"
                : "a parenthesis is left open";
    }

    /** Cuts the text from an index on into known pieces; a symbol is short, so trying all ways is cheap. */
    private boolean split(int at, int open, List<Piece> pieces) {
        farthest = Math.max(farthest, at);
        if (at == text.length()) {
            return open == 0;
        }
        char c = text.charAt(at);
        if (SEPARATORS.indexOf(c) >= 0) {
            int depth = open + (c == '(' ? 1 : c == ')' ? -1 : 0);
            return depth >= 0 && split(at + 1, depth, pieces);
        }
        for (Piece piece : PIECES) {
            if (piece.place().allows(pieces.isEmpty()) && text.startsWith(piece.text(), at)) {
                pieces.add(piece);
                if (split(at + piece.text().length(), open, pieces)) {
                    return true;
                }
                pieces.remove(pieces.size() - 1);
            }
        }
        return false;
    }

    private void apply(String effect) {
        if (effect.equals("seventh")) {
            intervals.add(seventh);
        } else if (effect.startsWith("seventh=")) {
            seventh = Interval.parse(effect.substring("seventh=".length()));
        } else if (effect.charAt(0) == '=') {
            replace(Interval.parse(effect.substring(1)));
        } else if (effect.charAt(0) == '+') {
            intervals.add(Interval.parse(effect.substring(1)));
        } else if (Character.isDigit(effect.charAt(1))) {
            int number = Integer.parseInt(effect.substring(1));
            intervals.removeIf(i -> i.number() == number);
        } else {
            intervals.remove(Interval.parse(effect.substring(1)));
        }
    }

    /** Puts an interval in the place of the unaltered one of its number; an altered one stays beside it. */
    private void replace(Interval interval) {
        intervals.removeIf(i -> i.number() == interval.number() && i.offset() == 0);
        intervals.add(interval);
    }
}
