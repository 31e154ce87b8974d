package underhand.chord;

import java.util.List;
import java.util.Objects;
import underhand.pitch.Interval;

/**
 * What a chord is made of above its root, such as minor seventh flat five: P1 m3 d5 m7.
 *
 * @param suffix what is written after the root, ASCII: {@code m7b5}; empty for a major triad
 * @param intervals spelled intervals above the root, ascending; the root itself is P1
 */
public record ChordType(String suffix, List<Interval> intervals) {

    private static final Interval MAJOR_THIRD = Interval.parse("M3");
    private static final Interval ELEVENTH = Interval.parse("P11");

    public ChordType {
        Objects.requireNonNull(suffix, "suffix");
        intervals = intervals.stream().sorted().toList();
        if (intervals.isEmpty()) {
            throw new IllegalArgumentException("a chord type needs at least one interval: " + suffix);
        }
    }

    /** The type with exactly these intervals, by its common name, or by one that spells out what differs. */
    public static ChordType of(List<Interval> intervals) {
        return ChordTypes.STANDARD.of(intervals);
    }

    /** The suffix with real accidental glyphs: {@code m7♭5}. */
    public String glyphs() {
        return suffix.replaceAll("b(?=[0-9])", "♭").replace('#', '♯');
    }

    /** Whether any interval has this number, such as 7 for a seventh of any quality. */
    public boolean has(int number) {
        return intervals.stream().anyMatch(i -> i.number() == number);
    }

    /**
     * Intervals players add to some types although lead sheets leave them out: the third of an eleventh, the eleventh of
     * a thirteenth.
     */
    public List<Interval> optional() {
        if (has(11) && has(7) && !has(3)) {
            return List.of(MAJOR_THIRD);
        }
        return has(13) && has(7) && has(3) && !has(11) ? List.of(ELEVENTH) : List.of();
    }

    public boolean hasInterval(Interval interval) {
        return intervals.contains(interval);
    }
}
