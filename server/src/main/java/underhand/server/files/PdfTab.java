package underhand.server.files;

import java.io.IOException;
import java.util.stream.Collectors;
import underhand.part.Notation.Event;
import underhand.part.PlayedNote;
import underhand.picking.Finger;
import underhand.picking.Step.Direction;
import underhand.picking.Step.Weight;

/** Draws bars as tab: a line for each string, the highest so far below the place reached; the right hand under them. */
final class PdfTab {

    private static final float STRING = 7.5f;
    private static final float HAND = 13;

    private final PdfCanvas page;
    private final int strings;
    private final float top;

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
            String fret = event.weight() == Weight.GHOST ? "×" : note.tabSign();
            float wide = PdfCanvas.widthOf(page.mono, 8, fret);
            page.blank(x - 0.5f, y(note.string()) + 3, wide + 1, 6);
            page.text(page.mono, 8, x, y(note.string()) + 2.8f, fret);
        }
        page.text(page.plain, 7, x, y(0) + HAND, hand(event));
    }

    private static String hand(Event event) {
        if (event.strum().isPresent()) {
            String arrow = event.strum().get() == Direction.DOWN ? "↓" : "↑";
            return event.weight() == Weight.ACCENT ? arrow + ">" : arrow;
        }
        return event.notes().stream()
                .flatMap(n -> n.rightFinger().stream())
                .map(Finger::letter)
                .collect(Collectors.joining());
    }
}
