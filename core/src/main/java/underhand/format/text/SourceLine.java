package underhand.format.text;

import java.util.Arrays;

/**
 * A line of a text as it looks: tabs fill up to the next column of eight, every kind of blank is a space.
 *
 * @param number from 1
 * @param source as it was typed
 * @param text as it looks
 * @param places for each character of {@code text}, and for its end, the index in {@code source} it comes from
 */
record SourceLine(int number, String source, String text, int[] places) {

    private static final int TAB = 8;

    static SourceLine of(int number, String source) {
        int tabs = (int) source.chars().filter(c -> c == '\t').count();
        StringBuilder text = new StringBuilder(source.length());
        int[] places = new int[source.length() + tabs * TAB + 1];
        for (int i = 0; i < source.length(); i++) {
            char c = source.charAt(i);
            int width = c == '\t' ? TAB - text.length() % TAB : 1;
            for (int n = 0; n < width; n++) {
                places[text.length()] = i;
                text.append(shown(c));
            }
        }
        places[text.length()] = source.length();
        return new SourceLine(number, source, text.toString(), Arrays.copyOf(places, text.length() + 1));
    }

    private static char shown(char c) {
        return switch (c) {
            case '│', '‖', '¦' -> '|';
            case '\uFEFF', '\u200B' -> ' ';
            default -> Character.isWhitespace(c) || Character.isSpaceChar(c) ? ' ' : c;
        };
    }

    /** The same line with nothing up to an index. */
    SourceLine blankedTo(int at) {
        return new SourceLine(number, source, " ".repeat(at) + text.substring(at), places);
    }

    /** The same line ending at an index. */
    SourceLine endedAt(int at) {
        return new SourceLine(number, source, text.substring(0, at), Arrays.copyOf(places, at + 1));
    }

    /** Column in the text as typed, from 1, of an index in the text as it looks. */
    int column(int at) {
        return 1 + places[Math.min(Math.max(at, 0), places.length - 1)];
    }

    boolean isBlank() {
        return text.isBlank();
    }

    String stripped() {
        return text.strip();
    }

    /** Index of the first character that is no space. */
    int indent() {
        return text.length() - text.stripLeading().length();
    }

    /** An edit that puts another text in this line's place. */
    Fault.Mend replacedBy(String label, String other) {
        return new Fault.Mend(label, number, 1, number, 1 + source.length(), other);
    }
}
