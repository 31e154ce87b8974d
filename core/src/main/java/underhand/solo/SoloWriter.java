package underhand.solo;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import underhand.chord.ChordSymbol;
import underhand.hand.Grip;
import underhand.neck.Fretboard;
import underhand.neck.Shape;
import underhand.neck.ToneDemand;
import underhand.solve.Solo;

/**
 * Writes every note of a solo: the tune as long as it is written, the bass on strong beats, inner notes as their rung has them.
 * A note under the tune sounds until its string is played again, the hand leaves it, the tune goes below it, or its chord ends.
 */
final class SoloWriter {

    private static final double SAME = 1e-6;

    private final List<Moment> moments;
    private final SoloGrip[] played;
    private final Fretboard board;
    private final SoloTiming timing;
    private final List<Solo.Note> notes = new ArrayList<>();
    private final List<Solo.Lost> leftOut = new ArrayList<>();
    private final List<Solo.Lost> cut = new ArrayList<>();

    /** Index of what rings under the tune, by string. */
    private final Map<Integer, Integer> ringing = new HashMap<>();

    SoloWriter(List<Moment> moments, SoloGrip[] played, Fretboard board, SoloTiming timing) {
        this.moments = moments;
        this.played = played;
        this.board = board;
        this.timing = timing;
    }

    Solo write(int octave, List<Sung> tune, boolean narrowed, int fastestTempo) {
        for (int i = 0; i < played.length; i++) {
            if (!moments.get(i).plain()) {
                stop(i);
                under(i);
            }
        }
        ringing.keySet().stream().toList().forEach(s -> let(s, end()));
        sing(tune);
        notes.sort(Comparator.comparingDouble(Solo.Note::from).thenComparingInt(Solo.Note::string));
        List<Solo.Moment> written = new ArrayList<>();
        for (int i = 0; i < played.length; i++) {
            if (!moments.get(i).plain()) {
                written.add(moment(i));
            }
        }
        return new Solo(octave, written, notes, leftOut, cut, whole(), narrowed, fastestTempo);
    }

    /** Chords of which every note that is needed is gripped as they begin. */
    private int whole() {
        int whole = 0;
        for (int i = 0; i < played.length; i++) {
            Optional<ChordSymbol> chord = moments.get(i).segment().chord();
            if (moments.get(i).begins() && chord.isPresent()) {
                // A fifth that is nothing but one is missed by nobody.
                int required = ToneDemand.of(chord.get(), true, true).required()
                        | 1 << chord.get().lowest().pitchClass();
                whole += (required & ~classes(played[i].grip().shape())) == 0 ? 1 : 0;
            }
        }
        return whole;
    }

    /** Pitch classes that sound, a bit each. */
    private int classes(Shape shape) {
        int classes = 0;
        for (int string = 0; string < shape.strings(); string++) {
            classes |= shape.isSilent(string) ? 0 : 1 << board.midi(string, shape.fret(string)) % 12;
        }
        return classes;
    }

    private double end() {
        return moments.isEmpty() ? 0 : moments.get(moments.size() - 1).until();
    }

    /** Ends what cannot ring into a moment. */
    private void stop(int at) {
        Moment moment = moments.get(at);
        Grip grip = played[at].grip();
        for (int string : List.copyOf(ringing.keySet())) {
            Solo.Note note = notes.get(ringing.get(string));
            boolean isLeft = note.fret() > 0 && grip.shape().fret(string) != note.fret();
            boolean isTaken = string == played[at].top();
            boolean isAbove = moment.midi() >= 0 && note.midi() >= moment.midi();
            if (moment.begins() || isLeft || isTaken || isAbove) {
                let(string, moment.from());
            }
        }
    }

    private void let(int string, double until) {
        int index = ringing.remove(string);
        Solo.Note note = notes.get(index);
        notes.set(
                index,
                new Solo.Note(
                        note.place(),
                        note.from(),
                        until - note.from(),
                        note.string(),
                        note.fret(),
                        note.finger(),
                        note.midi(),
                        false));
    }

    /** Strikes the bass and the inner notes of a moment. */
    private void under(int at) {
        Moment moment = moments.get(at);
        SoloGrip grip = played[at];
        if (moment.strong() && grip.bass() != SoloGrip.NONE) {
            strike(moment, grip, grip.bass(), moment.from());
        }
        if (timing.isTogether(moment, grip)) {
            inner(moment, grip, moment.from());
        }
        double gap = timing.gap(moment, grip);
        if (gap > 0) {
            inner(moment, grip, moment.from() + gap);
        }
    }

    private void inner(Moment moment, SoloGrip grip, double from) {
        for (int string = 0; string < board.strings(); string++) {
            boolean isBelow = moment.midi() < 0
                    || board.midi(string, Math.max(0, grip.grip().shape().fret(string))) < moment.midi();
            if (grip.playsInner(string) && isBelow) {
                strike(moment, grip, string, from);
            }
        }
    }

    private void strike(Moment moment, SoloGrip grip, int string, double from) {
        if (ringing.containsKey(string)) {
            let(string, from);
        }
        ringing.put(string, notes.size());
        notes.add(note(moment, grip.grip(), string, from, 0, false));
    }

    private Solo.Note note(Moment moment, Grip grip, int string, double from, double beats, boolean tune) {
        int fret = grip.shape().fret(string);
        return new Solo.Note(
                moment.place(), from, beats, string, fret, grip.fingerOn(string), board.midi(string, fret), tune);
    }

    /** Adds the tune, each note for as long as the hand holds it. */
    private void sing(List<Sung> tune) {
        int at = 0;
        for (Sung sung : tune) {
            while (at < played.length && moments.get(at).from() < sung.from() - SAME) {
                at++;
            }
            if (at == played.length || played[at].top() == SoloGrip.NONE) {
                leftOut.add(new Solo.Lost(place(at), sung.from(), sung.midi(), sung.beats()));
                continue;
            }
            double until = sung.until();
            for (int next = at + 1; next < played.length && moments.get(next).from() < sung.until() - SAME; next++) {
                if (!SoloLattice.holdsOn(played[next - 1], played[next])) {
                    until = moments.get(next).from();
                    cut.add(new Solo.Lost(place(next), sung.from(), sung.midi(), sung.until() - until));
                    break;
                }
            }
            notes.add(
                    note(moments.get(at), played[at].grip(), played[at].top(), sung.from(), until - sung.from(), true));
        }
    }

    private int place(int at) {
        return moments.get(Math.min(at, moments.size() - 1)).place();
    }

    private Solo.Moment moment(int at) {
        Moment moment = moments.get(at);
        SoloGrip grip = played[at];
        boolean isHeld = grip.grip().shape().sounding() > 0;
        Optional<Solo.Top> top = grip.top() == SoloGrip.NONE
                ? Optional.empty()
                : Optional.of(
                        new Solo.Top(grip.top(), grip.grip().shape().fret(grip.top()), moment.midi(), words(moment)));
        return new Solo.Moment(
                moment.place(),
                moment.from(),
                moment.beats(),
                isHeld ? Optional.of(grip.grip()) : Optional.empty(),
                top);
    }

    private static String words(Moment moment) {
        Optional<ChordSymbol> chord = moment.segment().chord();
        return chord.map(c -> ToneWords.of(c, moment.midi())).orElse("");
    }
}
