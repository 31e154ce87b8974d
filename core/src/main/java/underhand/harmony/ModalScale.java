package underhand.harmony;

import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import underhand.chord.ChordSymbol;
import underhand.pitch.Key;
import underhand.pitch.Mode;

/**
 * The scale of a key as a section really has it: the plain one, or one of the modes with one degree moved by a half step. A
 * section is in such a mode when its chords have the moved note and never the plain one; dominants on their way and
 * diminished chords say nothing of it (common practice).
 */
public record ModalScale(Key key, Flavour flavour) {

    /** Modes and the one degree each has otherwise than its plain scale. */
    public enum Flavour {
        PLAIN(null, 0, 0),
        MIXOLYDIAN(Mode.MAJOR, 7, -1),
        LYDIAN(Mode.MAJOR, 4, 1),
        DORIAN(Mode.MINOR, 6, 1),
        PHRYGIAN(Mode.MINOR, 2, -1);

        private final Mode mode;
        private final int degree;
        private final int moved;

        Flavour(Mode mode, int degree, int moved) {
            this.mode = mode;
            this.degree = degree;
            this.moved = moved;
        }
    }

    static ModalScale plain(Key key) {
        return new ModalScale(key, Flavour.PLAIN);
    }

    /** @param spots a section in its key, in order */
    static ModalScale of(Key key, List<Spot> spots) {
        Set<Integer> heard = new HashSet<>();
        spots.stream().filter(ModalScale::tells).forEach(s -> addTones(heard, s.chord()));
        for (Flavour flavour : Flavour.values()) {
            if (flavour.mode == key.mode()) {
                int plain = pitchClass(key, flavour.degree);
                boolean isMoved = heard.contains(Math.floorMod(plain + flavour.moved, 12));
                if (isMoved && spots.stream().noneMatch(s -> Tones.has(s.chord(), plain))) {
                    return new ModalScale(key, flavour);
                }
            }
        }
        return plain(key);
    }

    private static void addTones(Set<Integer> heard, ChordSymbol chord) {
        chord.tones().forEach(tone -> heard.add(tone.note().pitchClass()));
    }

    private static boolean tells(Spot spot) {
        boolean onItsWay = spot.leadsOn() && spot.quality() != Quality.MINOR && spot.degree() != 4;
        boolean bluesTonic = spot.quality() == Quality.DOMINANT;
        return !onItsWay && !bluesTonic && spot.quality() != Quality.DIMINISHED;
    }

    private static int pitchClass(Key key, int degree) {
        return Math.floorMod(key.tonic().pitchClass() + key.mode().semitones(degree - 1), 12);
    }

    /** Whether a pitch class is a note of it. */
    public boolean has(int pitchClass) {
        if (flavour != Flavour.PLAIN) {
            int plain = pitchClass(key, flavour.degree);
            if (pitchClass == plain) {
                return false;
            }
            if (pitchClass == Math.floorMod(plain + flavour.moved, 12)) {
                return true;
            }
        }
        return key.degreeOf(pitchClass) > 0;
    }

    /** Words with glyphs, {@code G major} or {@code G mixolydian}. */
    public String glyphs() {
        return flavour == Flavour.PLAIN
                ? key.glyphs()
                : key.tonic().glyphs() + " " + flavour.name().toLowerCase(Locale.ROOT);
    }
}
