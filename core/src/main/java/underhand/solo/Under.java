package underhand.solo;

import underhand.chord.ChordSymbol;
import underhand.hand.Parameters;
import underhand.neck.Fretboard;
import underhand.neck.ToneDemand;
import underhand.pitch.Key;
import underhand.settings.SoloAsk;
import underhand.settings.Voicing;

/**
 * What the ear makes of the notes under a tune note: how much of the chord is there, on which bass, and what it is too close to.
 * Costs only grow with what lacks; pitches are MIDI numbers from the lowest.
 */
final class Under {

    /** A chord whose lowest two notes lie this low is muddy when they are less than a fourth apart (E3). */
    private static final int MUD_BELOW = 52;

    /** Above this a lowest note is no bass any more (E3). */
    private static final int HIGHEST_BASS = 52;

    /** Strings from the highest on which a tune sings best. */
    private static final int SINGING = 2;

    private static final int FOURTH = 5;
    private static final int FIFTH = 7;
    private static final int OCTAVE = 12;

    private final Fretboard board;
    private final Voicing voicing;
    private final Manner manner;
    private final int tonic;
    private final int drones;
    private final double noBass;
    private final double otherBass;
    private final double weak;
    private final double highBass;
    private final double missing;
    private final double thin;
    private final double twice;
    private final double low;
    private final double over;
    private final double mud;
    private final double lowInner;
    private final double clash;

    Under(Fretboard board, Voicing voicing, Manner manner, Key key, Parameters parameters) {
        this.board = board;
        this.voicing = voicing;
        this.manner = manner;
        tonic = key.tonic().pitchClass();
        drones = 1 << tonic | 1 << (tonic + FIFTH) % OCTAVE;
        noBass = parameters.get("solo.noBass");
        otherBass = parameters.get("solo.otherBass");
        weak = parameters.get("solo.weak");
        highBass = parameters.get("solo.highBass");
        missing = parameters.get("solo.missing");
        thin = parameters.get("solo.thin");
        twice = parameters.get("solo.double");
        low = parameters.get("solo.low");
        over = parameters.get("solo.over");
        lowInner = parameters.get("solo.lowInner");
        mud = parameters.get("sound.mud");
        clash = parameters.get("sound.clash");
    }

    /** What is asked of a chord here, worked out once for all grips of it. */
    record Ask(ChordSymbol chord, ToneDemand tones, int bass, int fifth, boolean begins, int midi) {}

    Ask ask(ChordSymbol chord, boolean begins, int midi) {
        ToneDemand tones = ToneDemand.of(chord.withoutBass(), true, true);
        int fifth = chord.tones().stream()
                .filter(t -> t.interval().number() == 5)
                .mapToInt(t -> t.note().pitchClass())
                .findFirst()
                .orElse(-1);
        return new Ask(chord, tones, chord.lowest().pitchClass(), fifth, begins, midi);
    }

    /** What the string of the tune costs: it sings best on the highest two, and lower ones leave no room under it. */
    double ofTop(int string) {
        int lower = Math.max(0, board.strings() - SINGING - string);
        return low * lower * lower;
    }

    /**
     * Whether a note of the tune may be played on a string: over open strings that go on it keeps to the two highest, and goes below
     * them only for what they do not have.
     */
    boolean maySing(int string, int midi) {
        if (manner.under() != SoloAsk.Under.DRONES) {
            return true;
        }
        for (int higher = board.strings() - 1; higher > string; higher--) {
            int fret = midi - board.midi(higher, 0);
            boolean isElsewhere = fret >= 0 && fret <= board.frets();
            if (isElsewhere && string < board.strings() - manner.singing()) {
                return false;
            }
        }
        return true;
    }

    /** What it costs to stop so many inner notes because the tune goes below them. */
    double ofStopped(int notes) {
        return over * notes;
    }

    /**
     * What some notes under the tune cost.
     *
     * @param under their pitches, the lowest first
     */
    double of(Ask ask, int[] under, int count) {
        if (manner.bass() == Manner.Bass.NONE) {
            return 0;
        }
        return ofBass(ask, under, count) + ofChord(ask, under, count) + ofPlace(ask, under, count);
    }

    private double ofBass(Ask ask, int[] under, int count) {
        // Open strings are taken where they fit, and missed nowhere else.
        double share = ask.begins() && manner.hasBasses() ? 1 : weak;
        if (count == 0) {
            return share * noBass;
        }
        boolean elsewhere = voicing.lowestElsewhere(ask.chord());
        int lowest = under[0] % OCTAVE;
        if (manner.bass() == Manner.Bass.DRONE) {
            // A fifth goes on as well, less at rest.
            return lowest == tonic ? 0 : otherBass;
        }
        boolean serves = lowest == ask.bass() || elsewhere || !ask.begins() && lowest == ask.fifth();
        double high = elsewhere ? 0 : highBass * Math.max(0, under[0] - HIGHEST_BASS);
        return high + (serves ? 0 : share * otherBass);
    }

    private double ofChord(Ask ask, int[] under, int count) {
        if (manner.inner() == 0 || !ask.begins()) {
            return 0;
        }
        int sounding = ask.midi() < 0 ? 0 : 1 << ask.midi() % OCTAVE;
        double cost = 0;
        for (int i = 0; i < count; i++) {
            sounding |= 1 << under[i] % OCTAVE;
            cost += i > 0 && ask.midi() >= 0 && under[i] % OCTAVE == ask.midi() % OCTAVE ? twice : 0;
        }
        int bass = voicing.lowestElsewhere(ask.chord()) || count == 0 ? 0 : 1;
        int required = manner.bass() == Manner.Bass.DRONE ? 0 : ask.tones().required();
        cost += missing * Integer.bitCount(required & ~sounding);
        return cost + thin * Math.max(0, manner.inner() - Math.max(0, count - bass));
    }

    private double ofPlace(Ask ask, int[] under, int count) {
        double cost = 0;
        for (int i = 0; i < count; i++) {
            boolean rubs = ask.midi() >= 0 && (ask.midi() - under[i]) % OCTAVE == 1;
            cost += rubs ? clash : 0;
            if (i > 0) {
                cost += (under[i] - under[i - 1]) % OCTAVE == 1 ? clash : 0;
                cost += lowInner * Math.max(0, MUD_BELOW - under[i]);
            }
        }
        if (count > 1 && under[1] - under[0] < FOURTH) {
            cost += mud * OCTAVE * Math.max(0, MUD_BELOW - under[0]);
        }
        return cost;
    }

    /** Whether a pitch class may stand under the tune. */
    boolean allows(Ask ask, int midi, boolean lowest) {
        if (manner.bass() == Manner.Bass.DRONE) {
            return (drones >> midi % OCTAVE & 1) == 1;
        }
        if (manner.bass() == Manner.Bass.OPEN) {
            return midi % OCTAVE == ask.bass() && midi <= HIGHEST_BASS;
        }
        int bit = 1 << midi % OCTAVE;
        return (ask.tones().allowed() & bit) != 0 || lowest && midi % OCTAVE == ask.bass();
    }
}
