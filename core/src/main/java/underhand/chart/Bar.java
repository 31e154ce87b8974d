package underhand.chart;

import java.util.List;
import java.util.Objects;

/** A bar: its metre and the chords in it, in the order of their beats. */
public record Bar(Metre metre, List<Placement> placements) {

    public Bar {
        Objects.requireNonNull(metre, "metre");
        placements = List.copyOf(placements);
    }

    /** The same chords without words, for a repeat. */
    public Bar withoutLyrics() {
        return new Bar(metre, placements.stream().map(Placement::withoutLyric).toList());
    }
}
