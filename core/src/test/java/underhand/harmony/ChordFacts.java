package underhand.harmony;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import underhand.chord.ChordSymbol;
import underhand.pitch.Key;
import underhand.pitch.Mode;
import underhand.pitch.Note;

/** What a chord's name, a note's or a scale's says of pitch classes, for the claims of the rules. */
final class ChordFacts {

    /** Half steps above the tonic of the scales a reason may name (any harmony book). */
    private static final Map<String, List<Integer>> SCALES = Map.of(
            "major", List.of(0, 2, 4, 5, 7, 9, 11),
            "minor", List.of(0, 2, 3, 5, 7, 8, 10),
            "dorian", List.of(0, 2, 3, 5, 7, 9, 10),
            "phrygian", List.of(0, 1, 3, 5, 7, 8, 10),
            "lydian", List.of(0, 2, 4, 6, 7, 9, 11),
            "mixolydian", List.of(0, 2, 4, 5, 7, 9, 10));

    private ChordFacts() {}

    static ChordSymbol chord(String glyphs) {
        return ChordSymbol.parse(glyphs.replace('♭', 'b').replace('♯', '#'));
    }

    static int note(String glyphs) {
        return Note.parse(glyphs).pitchClass();
    }

    static Set<Integer> scale(String words) {
        String[] parts = words.split(" ");
        return SCALES.get(parts[1]).stream()
                .map(step -> (note(parts[0]) + step) % 12)
                .collect(Collectors.toSet());
    }

    static Set<Integer> tones(ChordSymbol chord) {
        Set<Integer> tones =
                chord.tones().stream().map(t -> t.note().pitchClass()).collect(Collectors.toCollection(HashSet::new));
        chord.bass().ifPresent(b -> tones.add(b.pitchClass()));
        return tones;
    }

    static Set<Integer> withoutRoot(ChordSymbol chord) {
        Set<Integer> tones = tones(chord.withoutBass());
        tones.remove(chord.root().pitchClass());
        return tones;
    }

    static int seventhOf(ChordSymbol chord) {
        int root = chord.root().pitchClass();
        return Stream.of(10, 11, 9)
                .filter(up -> tones(chord.withoutBass()).contains((root + up) % 12))
                .findFirst()
                .orElse(-1);
    }

    static int above(ChordSymbol from, ChordSymbol to) {
        return Math.floorMod(to.root().pitchClass() - from.root().pitchClass(), 12);
    }

    static boolean isTriad(ChordSymbol chord) {
        return Set.of("", "m", "dim", "aug").contains(chord.type().suffix());
    }

    static boolean isMajor(ChordSymbol chord) {
        int root = chord.root().pitchClass();
        return tones(chord).containsAll(List.of((root + 4) % 12, (root + 7) % 12));
    }

    static int rootPlus(Claims.Said said, int semitones) {
        return (said.spot().chord().root().pitchClass() + semitones) % 12;
    }

    static Set<Integer> triad(Claims.Said said) {
        return said.spot().chord().tones().stream()
                .limit(3)
                .map(t -> t.note().pitchClass())
                .collect(Collectors.toSet());
    }

    static boolean isInScale(Claims.Said said, int pitchClass) {
        return scale(said.spot().scale().glyphs()).contains(pitchClass);
    }

    static boolean inKey(Claims.Said said, ChordSymbol chord, int above) {
        return isInScale(said, (chord.root().pitchClass() + above) % 12);
    }

    static boolean isDominantLike(Claims.Said said) {
        return said.own().contains(rootPlus(said, 4))
                && (said.own().contains(rootPlus(said, 10))
                        || said.spot().degree() == 5
                                && isTriad(said.spot().chord())
                                && said.own().contains(rootPlus(said, 7)));
    }

    static boolean isMinorFive(Claims.Said said) {
        Key key = said.spot().key();
        return key.mode() == Mode.MINOR
                && Math.floorMod(
                                said.spot().chord().root().pitchClass()
                                        - key.tonic().pitchClass(),
                                12)
                        == 7
                && said.own().contains(rootPlus(said, 4));
    }

    /** Whether one note of each chord moves by a half step to the next, the way the words say. */
    static boolean isLine(Claims.Said said, String way) {
        for (int i = 0; i + 1 < said.steps().size(); i++) {
            if (said.steps().get(i).bond() == Bond.FREE) {
                continue;
            }
            Set<Integer> one = tones(said.steps().get(i).chord());
            Set<Integer> other = tones(said.steps().get(i + 1).chord());
            int half = way.equals("falls") ? 11 : 1;
            if (one.stream().noneMatch(t -> other.contains((t + half) % 12) && !one.contains((t + half) % 12))) {
                return false;
            }
        }
        return true;
    }
}
