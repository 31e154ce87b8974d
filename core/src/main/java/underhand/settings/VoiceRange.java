package underhand.settings;

import java.util.Objects;
import java.util.OptionalInt;
import underhand.input.RangeException;
import underhand.pitch.Pitch;

/** From the lowest to the highest note of a tune, or of a voice; both sounding. */
public record VoiceRange(Pitch lowest, Pitch highest) {

    private static final int OCTAVE = 12;

    public VoiceRange {
        Objects.requireNonNull(lowest, "lowest");
        Objects.requireNonNull(highest, "highest");
        if (highest.midi() < lowest.midi()) {
            throw new RangeException("range", "the highest note " + highest + " lies below the lowest " + lowest);
        }
    }

    /** Reads its two ends, such as {@code A3} and {@code D5}. */
    public static VoiceRange parse(String lowest, String highest) {
        return new VoiceRange(Pitch.parse(lowest), Pitch.parse(highest));
    }

    public int semitones() {
        return highest.midi() - lowest.midi();
    }

    /**
     * The least move, in semitones, that brings a tune of this range into a voice and into the key so many semitones up;
     * empty when no octave of that key fits.
     *
     * @param keyUp key of the moved tune, 0 to 11 semitones above its own
     */
    public OptionalInt moveInto(VoiceRange voice, int keyUp) {
        int best = Integer.MAX_VALUE;
        for (int move = voice.lowest.midi() - lowest.midi(); move <= voice.highest.midi() - highest.midi(); move++) {
            if (Math.floorMod(move - keyUp, OCTAVE) == 0 && Math.abs(move) < Math.abs(best)) {
                best = move;
            }
        }
        return best == Integer.MAX_VALUE ? OptionalInt.empty() : OptionalInt.of(best);
    }
}
