package underhand.format.text;

import java.util.ArrayList;
import java.util.List;

/**
 * Which words of a line stand under which chord of the line above it: a chord over a word belongs to the syllable nearest to
 * it, for a column is seldom meant to the letter.
 */
final class Under {

    private final String words;

    /** For each chord, index in the words where its own begin. */
    private final List<Integer> places = new ArrayList<>();

    private final List<Boolean> shares = new ArrayList<>();

    /** @param columns of the chords, ascending */
    Under(String words, List<Integer> columns) {
        this.words = words.stripTrailing();
        int before = -1;
        int placeBefore = -1;
        for (int column : columns) {
            int place = place(column, placeBefore);
            places.add(place);
            shares.add(before >= 0 && isInside(column) && before >= wordStart(column));
            before = column;
            placeBefore = place;
        }
    }

    /** The words of a chord; those before the first one are its own too. */
    String of(int chord) {
        int from = chord == 0 ? 0 : places.get(chord);
        int to = chord + 1 < places.size() ? places.get(chord + 1) : words.length();
        return Pieces.upTo(words, from, Math.max(from, to), to).strip();
    }

    /** Whether a chord and the one before it stand over the same word. */
    boolean shares(int chord) {
        return shares.get(chord);
    }

    private int place(int column, int before) {
        if (!isInside(column)) {
            return Math.max(before, Math.min(column, words.length()));
        }
        int start = wordStart(column);
        int end = wordEnd(column);
        List<Integer> starts = Syllables.starts(words.substring(start, end));
        int nearest = 0;
        for (int i = 1; i < starts.size(); i++) {
            if (Math.abs(start + starts.get(i) - column) < Math.abs(start + starts.get(nearest) - column)) {
                nearest = i;
            }
        }
        // Where another chord has that syllable, this one comes after it.
        while (nearest < starts.size() && start + starts.get(nearest) <= before) {
            nearest++;
        }
        return nearest < starts.size() ? start + starts.get(nearest) : end;
    }

    /** Whether a column stands over a word, but not over its first letter. */
    private boolean isInside(int column) {
        return column > 0 && column < words.length() && words.charAt(column) != ' ' && words.charAt(column - 1) != ' ';
    }

    private int wordStart(int column) {
        return words.lastIndexOf(' ', column) + 1;
    }

    private int wordEnd(int column) {
        int end = words.indexOf(' ', column);
        return end < 0 ? words.length() : end;
    }
}
