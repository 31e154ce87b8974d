package underhand.chart;

import java.util.List;
import java.util.Objects;

/**
 * A bar: its metre and the chords in it, in the order of their beats.
 *
 * @param back how many bars further up its section stands the bar it repeats; 0 for a bar that was written itself
 */
public record Bar(Metre metre, List<Placement> placements, int back) {

    public Bar {
        Objects.requireNonNull(metre, "metre");
        placements = List.copyOf(placements);
        if (back < 0) {
            throw new IllegalArgumentException("back must be 0 or more, was " + back);
        }
    }

    /** A bar that was written itself. */
    public Bar(Metre metre, List<Placement> placements) {
        this(metre, placements, 0);
    }

    /** The same chords without words, so many bars later. */
    public Bar repeatedAfter(int bars) {
        return new Bar(metre, placements.stream().map(Placement::withoutLyric).toList(), bars);
    }

    /** The same bar with other chords. */
    public Bar with(List<Placement> other) {
        return new Bar(metre, other, back);
    }
}
