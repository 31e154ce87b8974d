package underhand.part;

import java.util.Optional;
import underhand.fill.Technique;
import underhand.picking.Finger;

/**
 * A note of a part.
 *
 * @param string index from the lowest
 * @param fret above the capo
 * @param midi MIDI number of what sounds
 * @param leftFinger 0 for an open string, 1 to 4, 5 for the thumb
 * @param rightFinger empty under a strum, and for a note the left hand makes
 * @param ring beats it sounds
 * @param voice whether it is a note of a tune, or under one
 */
public record PlayedNote(
        int string,
        int fret,
        int midi,
        int leftFinger,
        Optional<Finger> rightFinger,
        Technique technique,
        double ring,
        Voice voice) {

    PlayedNote withRing(double beats) {
        return new PlayedNote(string, fret, midi, leftFinger, rightFinger, technique, beats, voice);
    }

    PlayedNote withRightFinger(Finger finger) {
        return new PlayedNote(string, fret, midi, leftFinger, Optional.of(finger), technique, ring, voice);
    }

    public boolean tune() {
        return voice == Voice.TUNE;
    }
}
