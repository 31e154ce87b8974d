package underhand.chord;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.TreeSet;
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
    private int open;

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

    ChordType read() {
        intervals.add(Interval.parse("P1"));
        intervals.add(MAJOR_THIRD);
        intervals.add(PERFECT_FIFTH);
        int at = from;
        boolean first = true;
        while (at < text.length()) {
            char c = text.charAt(at);
            if (SEPARATORS.indexOf(c) >= 0) {
                separator(c, at);
                at++;
                continue;
            }
            Piece piece = pieceAt(at, first);
            piece.effects().forEach(this::apply);
            at += piece.text().length();
            first = false;
        }
        if (open != 0) {
            throw new ChordFormatException(text, text.length(), "a parenthesis is left open");
        }
        return ChordTypes.STANDARD.of(List.copyOf(intervals));
    }

    private void separator(char c, int at) {
        open += c == '(' ? 1 : c == ')' ? -1 : 0;
        if (open < 0) {
            throw new ChordFormatException(text, at, "a parenthesis is closed that was not opened");
        }
    }

    private Piece pieceAt(int at, boolean first) {
        return PIECES.stream()
                .filter(p -> p.place().allows(first) && text.startsWith(p.text(), at))
                .findFirst()
                .orElseThrow(() ->
                        new ChordFormatException(text, at, "\"" + text.substring(at) + "\" is not a known suffix"));
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
