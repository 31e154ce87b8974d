package underhand.server.shapes;

import io.swagger.v3.oas.annotations.media.ArraySchema;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import underhand.chord.ChordSymbol;
import underhand.hand.Grip;
import underhand.neck.Fretboard;
import underhand.neck.Shape;
import underhand.repertoire.RatedGrip;

/**
 * A grip as the API gives it. Arrays run from the lowest string.
 *
 * @param shape text form, {@code x32010}
 * @param frets null for silent, 0 for open, counted from the capo
 * @param fingers null, 1 to 4 or T
 * @param rung lowest rung, from the player's own, that can hold it
 * @param families families of voicings it belongs to, such as drop 2
 * @param form the open chord it is moved from, such as {@code A form at 5}; null where it is none
 * @param inversion which tone of the chord is lowest, the root as 0; -1 for a bass that is none
 * @param isNew whether the player does not have the shape yet
 */
public record GripView(
        String shape,

        @ArraySchema(schema = @Schema(nullable = true, type = "integer"))
        List<Integer> frets,

        @ArraySchema(schema = @Schema(nullable = true, type = "string"))
        List<String> fingers,

        List<HoldView> holds,
        FrameView frame,
        List<BarreView> barres,
        List<DampingView> damping,
        EffortView effort,
        List<String> tags,
        List<String> families,
        @Schema(nullable = true) String form,
        int inversion,
        double spanMm,
        int rung,
        boolean isNew) {

    /** A finger on its fret, from a lower string to a higher one; strings from the lowest as 0. */
    public record HoldView(String finger, int fret, int from, int to) {}

    /** What a chord frame shows: the fret of its first row, counted from the capo, and how many rows. */
    public record FrameView(int firstFret, int rows) {}

    public record BarreView(String finger, int fret, int from, int to) {}

    /** @param by the finger that leans on the string, T, or pick for the picking hand that leaves it out */
    public record DampingView(int string, String by) {}

    public record EffortView(double total, List<TermView> terms) {

        /** @param terms by their labels */
        static EffortView of(double total, Map<String, Double> terms) {
            return new EffortView(
                    round(total),
                    terms.entrySet().stream()
                            .map(term -> new TermView(term.getKey(), round(term.getValue())))
                            .toList());
        }
    }

    public record TermView(String name, double value) {}

    public static GripView of(RatedGrip rated, ChordSymbol chord, Fretboard board) {
        Grip grip = rated.grip();
        var structure = rated.structure(chord, board);
        return new GripView(
                grip.shape().toString(),
                frets(grip.shape()),
                fingers(grip),
                grip.holds().stream()
                        .map(h -> new HoldView(h.label(), h.fret(), h.lowString(), h.highString()))
                        .toList(),
                new FrameView(grip.window().first(), grip.window().frets()),
                grip.barres().stream()
                        .map(h -> new BarreView(h.label(), h.fret(), h.lowString(), h.highString()))
                        .toList(),
                grip.damping().stream()
                        .map(d -> new DampingView(d.string(), d.by()))
                        .toList(),
                EffortView.of(rated.effort().total(), rated.effort().labelled()),
                rated.tags(chord, board),
                structure.families(),
                structure.form().orElse(null),
                structure.inversion(),
                round(grip.spanMm()),
                rated.rung(),
                rated.isNew());
    }

    /** Frets from the lowest string, null for silent. */
    public static List<Integer> frets(Shape shape) {
        List<Integer> frets = new ArrayList<>();
        for (int string = 0; string < shape.strings(); string++) {
            frets.add(shape.isSilent(string) ? null : shape.fret(string));
        }
        return frets;
    }

    /** Fingers from the lowest string, null for none. */
    public static List<String> fingers(Grip grip) {
        List<String> fingers = new ArrayList<>();
        for (int string = 0; string < grip.shape().strings(); string++) {
            int finger = grip.fingerOn(string);
            fingers.add(finger == 0 ? null : finger == Grip.THUMB ? "T" : Integer.toString(finger));
        }
        return fingers;
    }

    /** To a thousandth: enough for every figure shown, and the same text on every machine. */
    public static double round(double value) {
        return Math.round(value * 1000) / 1000.0;
    }
}
