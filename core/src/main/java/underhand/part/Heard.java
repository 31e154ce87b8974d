package underhand.part;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import underhand.chart.Metre;
import underhand.part.HeardNote.Manner;
import underhand.picking.Step.Direction;
import underhand.picking.Step.Sound;
import underhand.picking.Step.Weight;

/**
 * What is heard of a part: how loud each note is, how much later a strum reaches each string, how long it sounds. The page's
 * sound and files with sound take it from here. The numbers are common practice among players, set by ear.
 */
final class Heard {

    private static final double PLAIN = 0.7;
    private static final double ACCENT = 0.94;

    /** About 14 dB under a plain stroke. */
    private static final double GHOST = 0.14;

    /** A tune stands in front of what is under it, by about 4 dB. */
    private static final double TUNE = 1.25;

    private static final double UNDER_TUNE = 0.8;
    private static final double LEFT_HAND = 0.7;
    private static final double PALM = 0.85;
    private static final double UP = 0.88;
    private static final double BASS_ON_ONE = 1.08;
    private static final double BACKBEAT = 1.06;

    /** Each string a strum reaches later is struck a little more softly, more so on the way up. */
    private static final double LATER_STRING_DOWN = 0.985;

    private static final double LATER_STRING_UP = 0.95;

    /** A hand is never the same twice: so much of the loudness. */
    private static final double VARIATION = 0.03;

    /** Beats the last strokes of a song ring on. */
    private static final double RINGS_OUT = 2;

    private static final double SAME = 1e-6;

    private final Part part;
    private final Map<Integer, Integer> lastOnString = new HashMap<>();

    private Heard(Part part) {
        this.part = part;
    }

    /** The notes of a part in the order of time, and of one stroke in the order in which they are struck. */
    static List<HeardNote> of(Part part) {
        return new Heard(part).notes();
    }

    private List<HeardNote> notes() {
        List<HeardNote> notes = new ArrayList<>();
        int at = 0;
        for (Strike strike : part.strikes()) {
            while (at + 1 < part.bars().size()
                    && strike.from() >= part.bars().get(at + 1).from() - SAME) {
                at++;
            }
            for (int index = 0; index < strike.notes().size(); index++) {
                notes.add(note(strike, at, index));
            }
        }
        return notes;
    }

    private HeardNote note(Strike strike, int at, int index) {
        PartBar bar = part.bars().get(at);
        PlayedNote note = strike.notes().get(index);
        Manner manner = manner(strike, note);
        OptionalInt from = OptionalInt.empty();
        if (manner == Manner.SLID && lastOnString.containsKey(note.string())) {
            from = OptionalInt.of(lastOnString.get(note.string()));
        }
        lastOnString.put(note.string(), note.midi());
        double begins = sounds(strike.from(), at);
        boolean isLast = strike.from() + note.ring() > part.beats() - SAME;
        double rings = sounds(strike.from() + note.ring(), at) - begins + (isLast ? RINGS_OUT : 0);
        return new HeardNote(
                strike.place(),
                begins,
                index * secondsAString(strike, bar),
                rings,
                note.string(),
                note.midi(),
                from,
                loudness(strike, bar, index, manner),
                manner);
    }

    private static Manner manner(Strike strike, PlayedNote note) {
        if (strike.weight() == Weight.GHOST) {
            return Manner.DEAD;
        }
        if (note.technique().isSlide()) {
            return Manner.SLID;
        }
        if (!note.technique().isPlucked()) {
            return Manner.LEFT_HAND;
        }
        return strike.sound() == Sound.PALM_MUTE
                ? Manner.PALM_MUTED
                : strike.sound() == Sound.CUT ? Manner.CUT : Manner.PLUCKED;
    }

    /** A beat of some bar or a later one as it sounds: off-beats of a swung bar come late. */
    private double sounds(double beat, int firstBar) {
        int at = firstBar;
        while (at + 1 < part.bars().size() && beat >= part.bars().get(at + 1).from() - SAME) {
            at++;
        }
        PartBar bar = part.bars().get(at);
        return bar.from() + bar.swung(beat - bar.from());
    }

    private static double loudness(Strike strike, PartBar bar, int index, Manner manner) {
        PlayedNote note = strike.notes().get(index);
        boolean isStrum = strike.strum().isPresent();
        boolean isUp = strike.strum().filter(d -> d == Direction.UP).isPresent();
        double loudness = strike.weight() == Weight.ACCENT ? ACCENT : strike.weight() == Weight.GHOST ? GHOST : PLAIN;
        loudness *= beat(strike.from() - bar.from(), bar.metre(), isStrum);
        loudness *= isUp ? UP * Math.pow(LATER_STRING_UP, index) : isStrum ? Math.pow(LATER_STRING_DOWN, index) : 1;
        loudness *= index == 0 && !isUp && strike.from() - bar.from() < SAME ? BASS_ON_ONE : 1;
        loudness *= manner == Manner.LEFT_HAND ? LEFT_HAND : manner == Manner.PALM_MUTED ? PALM : 1;
        loudness *= note.voice() == Voice.TUNE ? TUNE : note.voice() == Voice.UNDER_TUNE ? UNDER_TUNE : 1;
        loudness *= 1 + VARIATION * wobble(strike.from(), note.string());
        return Math.min(1, loudness);
    }

    /** How much a moment of a bar weighs: the first beat most, off-beats least; strums lean on two and four, waltzes breathe. */
    private static double beat(double at, Metre metre, boolean isStrum) {
        double off = at - Math.floor(at + SAME);
        boolean isCompound = metre.unit() == 8 && metre.beats() % 3 == 0;
        int beat = (int) Math.floor(at + SAME);
        if (off > SAME) {
            return Math.abs(off - 0.5) < SAME || off > 0.6 && off < 0.7 ? 0.88 : 0.82;
        }
        if (beat == 0) {
            return 1.05;
        }
        if (isCompound) {
            return beat % 3 == 0 ? 1 : 0.86;
        }
        if (metre.beats() == 3) {
            return beat == 1 ? 0.92 : 0.86;
        }
        return metre.beats() == 4 && beat % 2 == 1 && isStrum ? BACKBEAT : 0.97;
    }

    /** From -1 to 1, without order but always the same. */
    private static double wobble(double beat, int string) {
        long mixed = (Math.round(beat * NoteValue.PER_QUARTER) * 31 + string) * 0x9E3779B97F4A7C15L;
        return (mixed >>> 40) / (double) (1 << 23) - 1;
    }

    /** Seconds a strum takes from one string to the next: an accent is quick, a first beat takes its time. */
    private static double secondsAString(Strike strike, PartBar bar) {
        if (strike.strum().isEmpty()) {
            return 0;
        }
        if (strike.weight() == Weight.ACCENT) {
            return 0.005;
        }
        if (strike.strum().get() == Direction.UP) {
            return 0.007;
        }
        return strike.from() - bar.from() < SAME ? 0.012 : 0.009;
    }
}
