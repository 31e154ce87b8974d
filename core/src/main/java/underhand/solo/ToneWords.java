package underhand.solo;

import java.util.List;
import underhand.chord.ChordSymbol;

/** What a note is in a chord, in words. */
final class ToneWords {

    private static final List<String> NUMBERS =
            List.of("", "root", "ninth", "third", "fourth", "fifth", "sixth", "seventh", "octave", "ninth");

    /** Names of the notes a chord has not, by semitones above its root. */
    private static final List<String> OUTSIDE = List.of(
            "root", "♭9", "9", "♯9", "major third", "11", "♯11", "fifth", "♭13", "13", "seventh", "major seventh");

    private static final int SIXTH = 9;

    private ToneWords() {}

    static String of(ChordSymbol chord, int midi) {
        int above = Math.floorMod(midi - chord.root().pitchClass(), OUTSIDE.size());
        for (ChordSymbol.Tone tone : chord.tones()) {
            if (tone.note().pitchClass() == Math.floorMod(midi, OUTSIDE.size())) {
                int number = tone.interval().number();
                String name = number < NUMBERS.size() ? NUMBERS.get(number) : Integer.toString(number);
                return "the " + name + " of " + chord.glyphs();
            }
        }
        boolean isSixth = above == SIXTH && !chord.type().has(7);
        return "the " + (isSixth ? "6" : OUTSIDE.get(above)) + " over " + chord.glyphs();
    }
}
