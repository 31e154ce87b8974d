package underhand.neckmap;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import underhand.chord.ChordSymbol;
import underhand.pitch.Interval;
import underhand.pitch.Note;

/**
 * Notes that are looked for on a neck: those of a chord or a scale.
 *
 * @param all ascending from the root, each pitch class once
 */
public record Tones(Note root, List<Tone> all) {

    private static final int OCTAVE = 12;

    /** @param degree above the root, such as {@code ♭3} */
    public record Tone(Note note, String degree) {}

    public Tones {
        all = List.copyOf(all);
    }

    static Tones of(Note root, List<Interval> intervals) {
        return new Tones(
                root,
                intervals.stream()
                        .sorted(Comparator.comparingInt(Interval::pitchClass))
                        .map(i -> new Tone(root.plus(i), i.degree()))
                        .toList());
    }

    /** The notes of a chord; a bass under a slash is one of them. */
    public static Tones of(ChordSymbol chord) {
        Tones tones = of(chord.root(), chord.type().intervals());
        boolean isBassOutside = chord.bass().isPresent()
                && tones.at(chord.lowest().pitchClass()).isEmpty();
        if (!isBassOutside) {
            return tones;
        }
        List<Tone> more = new ArrayList<>(tones.all());
        more.add(new Tone(chord.lowest(), "bass"));
        more.sort(Comparator.comparingInt(t -> tones.above(t.note().pitchClass())));
        return new Tones(chord.root(), more);
    }

    private int above(int pitchClass) {
        return Math.floorMod(pitchClass - root.pitchClass(), OCTAVE);
    }

    /** The tone a pitch is, in whatever octave. */
    Optional<Tone> at(int pitch) {
        int pitchClass = Math.floorMod(pitch, OCTAVE);
        return all.stream().filter(t -> t.note().pitchClass() == pitchClass).findFirst();
    }

    boolean has(int pitch) {
        return at(pitch).isPresent();
    }

    Set<Integer> pitchClasses() {
        return all.stream().map(t -> t.note().pitchClass()).collect(Collectors.toSet());
    }
}
