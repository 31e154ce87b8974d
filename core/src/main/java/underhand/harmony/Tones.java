package underhand.harmony;

import underhand.chord.ChordSymbol;

/** Pitch classes of chords. */
final class Tones {

    private Tones() {}

    static boolean has(ChordSymbol chord, int pitchClass) {
        return chord.tones().stream().anyMatch(t -> t.note().pitchClass() == pitchClass)
                || chord.bass().filter(b -> b.pitchClass() == pitchClass).isPresent();
    }
}
