package underhand.repertoire;

import underhand.pitch.Key;
import underhand.pitch.Pitch;

/**
 * A voice's way from one grip to the next.
 *
 * @param string number of the string it reaches, from the highest as 1
 * @param from MIDI number it leaves
 * @param to MIDI number it reaches
 */
public record VoiceStep(int string, int from, int to) {

    /** The note it leaves, such as {@code F3}, spelled for a key. */
    public String fromName(Key key) {
        return Pitch.ofMidi(from).name(key);
    }

    /** The note it reaches. */
    public String toName(Key key) {
        return Pitch.ofMidi(to).name(key);
    }
}
