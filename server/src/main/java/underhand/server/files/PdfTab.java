package underhand.server.files;

import java.io.IOException;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.Collectors;
import underhand.part.Notation.Event;
import underhand.part.PlayedNote;
import underhand.picking.Step.Direction;
import underhand.picking.Step.Weight;
import underhand.server.files.PdfType.Face;

/** Draws bars as tab: a line for each string, the highest so far below the place reached; the right hand under them. */
final class PdfTab {

    private static final float STRING = 7.5f;
    private static final float HAND = 13;

    private static final String PALM = "P.M.";
    private static final float DASH = 2.5f;

    /** Points a join has that comes from the row before. */
    private static final float SHORT = 9;

    /** Half of what a slide rises. */
    private static final float SLOPE = 2;

    private final PdfCanvas page;
    private final int strings;
    private final float top;
    private final Map<Integer, Drawn> before = new HashMap<>();

    /** A fret that stands on a string, and where it ends. */
    private record Drawn(int fret, float right) {}

    PdfTab(PdfCanvas page, int strings, float top) {
        this.page = page;
        this.strings = strings;
        this.top = top;
    }

    /** Points from the highest line to below the right hand's letters. */
    static float height(int strings) {
        return STRING * (strings - 1) + HAND + 3;
    }

    /** How far below the place reached a string lies; the highest is on top. */
    float y(int string) {
        return top + STRING * (strings - 1 - string);
    }

    void lines(float x1, float x2) throws IOException {
        for (int string = 0; string < strings; string++) {
            page.line(x1, y(string), x2, y(string), 0.5f);
        }
    }

    /** The clef in the middle of the lines. */
    void clef(float x) throws IOException {
        MusicFont.draw(page, MusicFont.TAB_CLEF, x + 3, (y(0) + y(strings - 1)) / 2, STRING * (strings - 1) / 7.5f);
    }

    void event(Event event, float x) throws IOException {
        for (PlayedNote note : event.notes()) {
            String fret = event.weight() == Weight.GHOST ? "×" : Integer.toString(note.fret());
            float wide = page.widthOf(Face.MONO, 8, fret);
            page.blank(x - 0.5f, y(note.string()) + 3, wide + 1, 6);
            page.text(Face.MONO, 8, x, y(note.string()) + 2.8f, fret);
            if (!note.technique().isPlucked()) {
                join(note, x);
            }
            before.put(note.string(), new Drawn(note.fret(), x + wide));
        }
        stroke(event, x);
    }

    /** What the right hand does, under the strings. */
    void stroke(Event event, float x) throws IOException {
        page.text(Face.PLAIN, 7, x, y(0) + HAND, hand(event));
    }

    /** Joins a note to the one before on its string: a slur with a letter for one hammered or pulled, a line for a slide. */
    private void join(PlayedNote note, float x) throws IOException {
        float y = y(note.string());
        Drawn from = before.getOrDefault(note.string(), new Drawn(0, x - SHORT));
        if (note.technique().isSlide()) {
            float rise = note.fret() > from.fret() ? SLOPE : -SLOPE;
            page.line(from.right() + 1.5f, y + rise, x - 1.5f, y - rise, 0.9f);
            return;
        }
        page.arc(from.right() - 1, x + 1, y - 3.5f, -4);
        page.text(
                Face.PLAIN,
                5.5f,
                (from.right() + x) / 2 - 1.5f,
                y - 8,
                note.technique().sign());
    }

    /** Over the strings, from one place to another: the palm lies on them. */
    void palm(float from, float to) throws IOException {
        float y = y(strings - 1) - 5;
        page.text(Face.PLAIN, 6, from, y, PALM);
        float x = from + page.widthOf(Face.PLAIN, 6, PALM) + DASH;
        for (; x < to; x += 2 * DASH) {
            page.line(x, y - 2, Math.min(to, x + DASH), y - 2, 0.6f);
        }
    }

    private static String hand(Event event) {
        if (event.strum().isPresent()) {
            return event.strum().get() == Direction.DOWN ? "↓" : "↑";
        }
        return event.notes().stream()
                .flatMap(n -> n.rightFinger().stream())
                .map(finger -> finger.letter())
                .collect(Collectors.joining());
    }
}
