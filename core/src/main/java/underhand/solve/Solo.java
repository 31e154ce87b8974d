package underhand.solve;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import underhand.hand.Grip;

/**
 * A tune and its chords on one guitar: what is held when, and every note that sounds. Sections without a tune have none of it.
 *
 * @param octave octaves the tune is played above where the chart has it; negative for below
 * @param moments in the order of time
 * @param notes in the order of time, of those that begin together the lowest first
 * @param leftOut notes of the tune that the neck does not have
 * @param cut notes of the tune that are held shorter than they are written
 * @param whole how many chords have every note they need, the tune's among them
 * @param narrowed whether the tune is so long that only the easiest grips were compared
 * @param fastestTempo beats a minute up to which the hand is in time at every moment
 */
public record Solo(
        int octave,
        List<Moment> moments,
        List<Note> notes,
        List<Lost> leftOut,
        List<Lost> cut,
        int whole,
        boolean narrowed,
        int fastestTempo) {

    public Solo {
        moments = List.copyOf(moments);
        notes = List.copyOf(notes);
        leftOut = List.copyOf(leftOut);
        cut = List.copyOf(cut);
    }

    /** Places of the part that have the tune on top, or a rest of it. */
    public Set<Integer> places() {
        return moments.stream().map(Moment::place).collect(Collectors.toSet());
    }

    /**
     * A stretch of time in which the hand holds one grip.
     *
     * @param place its chord's place in the part
     * @param from beats from the start of the song
     * @param grip what is held; empty where nothing is
     * @param top the note of the tune that begins or goes on here
     */
    public record Moment(int place, double from, double beats, Optional<Grip> grip, Optional<Top> top) {}

    /**
     * A note of the tune in its chord.
     *
     * @param string index from the lowest
     * @param fret above the capo
     * @param words what it is in the chord, such as "the third of C"; blank without a chord
     */
    public record Top(int string, int fret, int midi, String words) {}

    /**
     * A note as it sounds.
     *
     * @param from beats from the start of the song
     * @param beats it sounds
     * @param string index from the lowest
     * @param finger of the left hand; 0 for an open string
     */
    public record Note(int place, double from, double beats, int string, int fret, int finger, int midi, boolean tune) {

        public double until() {
            return from + beats;
        }
    }

    /**
     * A note of the tune that is not there as it is written.
     *
     * @param beats it lacks
     */
    public record Lost(int place, double from, int midi, double beats) {}
}
