package underhand.chart;

import java.util.List;
import java.util.Objects;

/**
 * A bar: its metre and the chords in it, in the order of their beats.
 *
 * @param back how many bars further up its section stands the bar it repeats; 0 for a bar that was written itself
 * @param newLine whether a line of the chart begins with it
 */
public record Bar(Metre metre, List<Placement> placements, int back, boolean newLine) {

    public Bar {
        Objects.requireNonNull(metre, "metre");
        placements = List.copyOf(placements);
        if (back < 0) {
            throw new IllegalArgumentException("back must be 0 or more, was " + back);
        }
    }

    /** A bar that was written itself, within a line. */
    public Bar(Metre metre, List<Placement> placements) {
        this(metre, placements, 0, false);
    }

    /** The same bar as the first of a line. */
    public Bar atLineStart() {
        return new Bar(metre, placements, back, true);
    }

    /** The bar after this one, with the same chords and on the same line. */
    public Bar again() {
        return new Bar(metre, placements.stream().map(Placement::withoutLyric).toList(), 1, false);
    }

    /** The same chords without words, so many bars later. */
    public Bar repeatedAfter(int bars) {
        return new Bar(metre, placements.stream().map(Placement::withoutLyric).toList(), bars, newLine);
    }

    /** The same bar with other chords. */
    public Bar with(List<Placement> other) {
        return new Bar(metre, other, back, newLine);
    }
}
