package underhand.neckmap;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import underhand.chord.ChordSymbol;
import underhand.pitch.Key;
import underhand.pitch.Letter;
import underhand.pitch.Mode;
import underhand.pitch.Note;

/**
 * Which scales serve over a chord of a song. First the key's own, with the chord's notes in the place of those of the same letter that
 * they displace: over D minor in A major F natural stands for F sharp. Then other scales on the chord's root that have all its
 * notes, those nearest to that first (common practice).
 */
final class ScaleChoice {

    private static final int MOST = 5;

    /** A scale of so few notes leaves out some of a chord's without being another's. */
    private static final int PENTATONIC = 5;

    private static final int TRIAD = 3;

    private ScaleChoice() {}

    static List<NeckMap.Serving> of(ChordSymbol chord, Key key) {
        List<Note> own = new ArrayList<>();
        List<NeckMap.Watch> watch = new ArrayList<>();
        Tones tones = Tones.of(chord.withoutBass());
        for (int degree = 0; degree < Mode.DEGREES; degree++) {
            Note plain = key.spell(
                    Math.floorMod(key.tonic().pitchClass() + key.mode().semitones(degree), 12));
            List<Note> instead = tones.has(plain.pitchClass()) ? List.of() : outside(chord, key, plain.letter());
            own.addAll(instead.isEmpty() ? List.of(plain) : instead);
            instead.forEach(note -> watch.add(new NeckMap.Watch(note, plain)));
        }
        Set<Integer> served = Set.copyOf(own.stream().map(Note::pitchClass).toList());
        List<NeckMap.Serving> found = new ArrayList<>();
        found.add(new NeckMap.Serving(name(chord.root(), own, key), spelledFrom(chord.root(), own), watch));
        Scale.all().stream()
                .map(scale -> new Named(scale, scale.on(chord.root())))
                .filter(n -> !n.tones().pitchClasses().equals(served) && serves(n.tones(), tones, served))
                .sorted(Comparator.comparingInt(n -> n.outside(served)))
                .limit(MOST - 1L)
                .forEach(n -> found.add(new NeckMap.Serving(
                        chord.root().glyphs() + " " + n.scale().name(),
                        n.tones().all().stream().map(Tones.Tone::note).toList(),
                        List.of())));
        return found;
    }

    private record Named(Scale scale, Tones tones) {

        int outside(Set<Integer> served) {
            return (int) tones.pitchClasses().stream()
                    .filter(pc -> !served.contains(pc))
                    .count();
        }
    }

    /** The chord's notes of a letter that the key does not have. */
    private static List<Note> outside(ChordSymbol chord, Key key, Letter letter) {
        return chord.tones().stream()
                .map(ChordSymbol.Tone::note)
                .filter(note -> note.letter() == letter && key.degreeOf(note.pitchClass()) == 0)
                .toList();
    }

    private static boolean serves(Tones scale, Tones chord, Set<Integer> served) {
        if (scale.all().size() <= PENTATONIC) {
            return served.containsAll(scale.pitchClasses())
                    && chord.all().stream()
                            .limit(TRIAD)
                            .allMatch(t -> scale.has(t.note().pitchClass()));
        }
        return scale.pitchClasses().containsAll(chord.pitchClasses());
    }

    /** A scale with these notes by its name from the chord's root, or from the key's, or the key with what is otherwise. */
    private static String name(Note root, List<Note> notes, Key key) {
        Set<Integer> pitchClasses =
                Set.copyOf(notes.stream().map(Note::pitchClass).toList());
        return named(root, pitchClasses)
                .or(() -> named(key.tonic(), pitchClasses))
                .orElse(key.glyphs() + ", altered");
    }

    private static Optional<String> named(Note root, Set<Integer> pitchClasses) {
        return Scale.all().stream()
                .filter(s -> s.on(root).pitchClasses().equals(pitchClasses))
                .findFirst()
                .map(s -> root.glyphs() + " " + s.name());
    }

    private static List<Note> spelledFrom(Note root, List<Note> notes) {
        return notes.stream()
                .sorted(Comparator.comparingInt(n -> Math.floorMod(n.pitchClass() - root.pitchClass(), 12)))
                .toList();
    }
}
