package underhand.format.engrave;

import java.util.HashMap;
import java.util.Map;
import java.util.stream.Collectors;
import underhand.format.engrave.Lettering.Face;
import underhand.part.Notation.Event;
import underhand.part.PlayedNote;
import underhand.picking.Step.Direction;
import underhand.picking.Step.Weight;

/** Draws bars as tab: a line for each string, the highest so far down its row; the right hand under them. */
final class TabDrawing {

    private static final float STRING = 7.5f;
    private static final float HAND = 13;

    /** Size of what stands for the right hand. */
    static final float HAND_SIZE = 7;

    /** A staff space of the size its dots have. */
    private static final float DOT_SPACE = 5.5f;

    private static final String PALM = "P.M.";
    private static final float DASH = 2.5f;

    /** Points a join has that comes from the row before. */
    private static final float SHORT = 9;

    /** Half of what a slide rises. */
    private static final float SLOPE = 2;

    private final Ink ink;
    private final Lettering lettering;
    private final int strings;
    private final float top;
    private final Map<Integer, Drawn> before = new HashMap<>();

    /** A fret that stands on a string, and where it ends. */
    private record Drawn(int fret, float right) {}

    TabDrawing(Ink ink, Lettering lettering, int strings, float top) {
        this.ink = ink;
        this.lettering = lettering;
        this.strings = strings;
        this.top = top;
    }

    /** Points from the highest line to below the right hand's letters. */
    static float height(int strings) {
        return STRING * (strings - 1) + HAND + 3;
    }

    /** How far down a string lies; the highest is on top. */
    float y(int string) {
        return top + STRING * (strings - 1 - string);
    }

    void lines(float x1, float x2) {
        for (int string = 0; string < strings; string++) {
            ink.line(x1, y(string), x2, y(string), 0.5f);
        }
    }

    /** The clef in the middle of the lines. */
    void clef(float x) {
        ink.sign(Signs.TAB_CLEF, STRING * (strings - 1) / 7.5f, x + 3, (y(0) + y(strings - 1)) / 2);
    }

    /** The dots of a repeat, about the middle, their middle at a place. */
    void repeatDots(float x) {
        float middle = (y(0) + y(strings - 1)) / 2;
        for (float y : new float[] {middle - STRING, middle + STRING}) {
            ink.sign(Signs.DOT, DOT_SPACE, x - Signs.DOT_WIDTH * DOT_SPACE / 2, y);
        }
    }

    void event(Event event, float x) {
        for (PlayedNote note : event.notes()) {
            String fret = event.weight() == Weight.GHOST ? "×" : Integer.toString(note.fret());
            float wide = lettering.width(Face.MONO, 8, fret);
            ink.blank(x - 0.5f, y(note.string()) - 3, wide + 1, 6);
            ink.text(Face.MONO, 8, x, y(note.string()) + 2.8f, fret);
            if (!note.technique().isPlucked()) {
                join(note, x);
            }
            before.put(note.string(), new Drawn(note.fret(), x + wide));
        }
        stroke(event, x);
    }

    /** What the right hand does, under the strings. */
    void stroke(Event event, float x) {
        String hand = hand(event);
        if (!hand.isEmpty()) {
            ink.text(Face.PLAIN, HAND_SIZE, x, y(0) + HAND, hand);
        }
    }

    /** Joins a note to the one before on its string: a slur with a letter for one hammered or pulled, a line for a slide. */
    private void join(PlayedNote note, float x) {
        float y = y(note.string());
        Drawn from = before.getOrDefault(note.string(), new Drawn(0, x - SHORT));
        if (note.technique().isSlide()) {
            float rise = note.fret() > from.fret() ? SLOPE : -SLOPE;
            ink.line(from.right() + 1.5f, y + rise, x - 1.5f, y - rise, 0.9f);
            return;
        }
        ink.arc(from.right() - 1, x + 1, y - 3.5f, -4);
        ink.text(
                Face.PLAIN,
                5.5f,
                (from.right() + x) / 2 - 1.5f,
                y - 8,
                note.technique().sign());
    }

    /** Over the strings, from one place to another: the palm lies on them. */
    void palm(float from, float to) {
        float y = y(strings - 1) - 5;
        ink.text(Face.PLAIN, 6, from, y, PALM);
        float x = from + lettering.width(Face.PLAIN, 6, PALM) + DASH;
        for (; x < to; x += 2 * DASH) {
            ink.line(x, y - 2, Math.min(to, x + DASH), y - 2, 0.6f);
        }
    }

    /** What the right hand does: an arrow for a strum, letters for fingers. */
    static String hand(Event event) {
        if (event.strum().isPresent()) {
            return event.strum().get() == Direction.DOWN ? "↓" : "↑";
        }
        return event.notes().stream()
                .flatMap(n -> n.rightFinger().stream())
                .map(finger -> finger.letter())
                .collect(Collectors.joining());
    }
}
