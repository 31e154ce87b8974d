package underhand.server.arrangements;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import underhand.arrange.Arrangement;
import underhand.pitch.Pitch;
import underhand.server.arrangements.ArrangementView.MomentView;
import underhand.server.arrangements.ArrangementView.SoundingNoteView;
import underhand.server.arrangements.ArrangementView.TopView;
import underhand.server.shapes.GripView;
import underhand.solve.PlacedGrip;
import underhand.solve.Solo;

/** Writes the tune on top of an arrangement as the API gives it; nothing where there is none. */
final class SoloMapper {

    private final Arrangement arrangement;
    private final int strings;

    /** Beats from the start of the song to each place. */
    private final double[] starts;

    private final Map<Integer, TopView> tops = new HashMap<>();
    private final List<MomentView> moments = new ArrayList<>();
    private final List<SoundingNoteView> notes = new ArrayList<>();

    SoloMapper(Arrangement arrangement) {
        this.arrangement = arrangement;
        this.strings = arrangement.board().strings();
        this.starts = new double[arrangement.placements().size()];
        double at = 0;
        for (PlacedGrip placed : arrangement.placements()) {
            starts[placed.index()] = at;
            at += placed.segment().beats();
        }
        arrangement.solo().ifPresent(this::write);
    }

    private void write(Solo solo) {
        for (Solo.Moment moment : solo.moments()) {
            TopView top = moment.top().map(this::top).orElse(null);
            if (top != null && moment.from() - starts[moment.place()] < 1e-6) {
                tops.put(moment.place(), top);
            }
            moments.add(new MomentView(
                    moment.place(),
                    bar(moment.place()),
                    beat(moment.place(), moment.from()),
                    GripView.round(moment.beats()),
                    moment.grip()
                            .map(g -> GripView.frets(g.shape()))
                            .orElseGet(() -> Collections.nCopies(strings, null)),
                    moment.grip().map(GripView::fingers).orElseGet(() -> Collections.nCopies(strings, null)),
                    top));
        }
        for (Solo.Note note : solo.notes()) {
            notes.add(new SoundingNoteView(
                    bar(note.place()),
                    beat(note.place(), note.from()),
                    GripView.round(note.beats()),
                    strings - note.string(),
                    note.fret(),
                    name(note.midi()),
                    note.tune()));
        }
    }

    private TopView top(Solo.Top top) {
        return new TopView(name(top.midi()), strings - top.string(), top.fret(), top.words());
    }

    private String name(int midi) {
        return Pitch.ofMidi(midi).name(arrangement.key());
    }

    private int bar(int place) {
        return arrangement.placements().get(place).slot().bar();
    }

    private double beat(int place, double from) {
        double beat = arrangement.placements().get(place).segment().beat() + from - starts[place];
        return GripView.round(beat);
    }

    TopView top(int place) {
        return tops.get(place);
    }

    List<MomentView> moments() {
        return moments;
    }

    List<SoundingNoteView> notes() {
        return notes;
    }
}
