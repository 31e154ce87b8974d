package underhand.part;

import java.util.Optional;
import java.util.stream.Stream;
import underhand.chord.ChordSymbol;
import underhand.pitch.Key;
import underhand.pitch.Note;
import underhand.pitch.SpelledPitch;
import underhand.solve.PlacedGrip;

/**
 * How the notes of a part are written: tones of a chord as the chord spells them, all others as the key does. Double sharps
 * and double flats, right as they would be, are written as the key has them.
 */
public final class Spelling {

    private final Part part;
    private final Key key;

    /** Semitones the written notes lie below the sounding ones. */
    private final int capo;

    private Spelling(Part part, Key key, int capo) {
        this.part = part;
        this.key = key;
        this.capo = capo;
    }

    /** Notes as they sound. */
    public static Spelling sounding(Part part) {
        return new Spelling(part, part.arrangement().key(), 0);
    }

    /** Notes as the hand has them, as if there were no capo. */
    public static Spelling fingered(Part part) {
        int capo = part.arrangement().capo();
        return new Spelling(part, part.arrangement().key().transpose(-capo), capo);
    }

    /** The key they are written in. */
    public Key key() {
        return key;
    }

    /** @param place number of the chord it is played with */
    public SpelledPitch of(PlayedNote note, int place) {
        int midi = note.midi() - capo;
        return chord(part.arrangement().placements().get(place))
                .flatMap(chord -> tone(chord, Math.floorMod(midi, 12)))
                .map(tone -> SpelledPitch.of(tone, midi))
                .orElseGet(() -> key.spellPitch(midi));
    }

    private Optional<ChordSymbol> chord(PlacedGrip placed) {
        return capo == 0 ? placed.segment().chord() : placed.played();
    }

    private static Optional<Note> tone(ChordSymbol chord, int pitchClass) {
        return Stream.concat(chord.bass().stream(), chord.tones().stream().map(ChordSymbol.Tone::note))
                .filter(tone -> tone.pitchClass() == pitchClass && Math.abs(tone.alteration()) <= 1)
                .findFirst();
    }
}
