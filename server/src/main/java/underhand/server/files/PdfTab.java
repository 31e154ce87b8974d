package underhand.server.files;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import underhand.arrange.PlacedGrip;
import underhand.format.score.ScoredPart;
import underhand.part.Notation;
import underhand.part.Notation.Event;
import underhand.part.PlayedNote;
import underhand.picking.Finger;
import underhand.picking.Step.Direction;
import underhand.picking.Step.Weight;

/** Draws a part as tab: lines for the strings, frets on them, chords above, the right hand below. */
final class PdfTab {

    private static final float STRING = 8;
    private static final float EVENT = 21;
    private static final float LEAST_BAR = 78;
    private static final float CHORD = 16;

    private final PdfCanvas page;
    private final ScoredPart scored;
    private final int strings;

    PdfTab(PdfCanvas page, ScoredPart scored) {
        this.page = page;
        this.scored = scored;
        this.strings = scored.tuning().size();
    }

    void write() throws IOException {
        List<Notation.WrittenBar> row = new ArrayList<>();
        float wide = 0;
        for (Notation.WrittenBar bar : Notation.of(scored.part())) {
            boolean newSection = bar.bar().section().isPresent();
            if (!row.isEmpty() && (newSection || wide + width(bar) > page.width())) {
                row(row, wide);
                row = new ArrayList<>();
                wide = 0;
            }
            if (newSection && !bar.bar().section().get().isBlank()) {
                page.need(height() + 24);
                page.text(page.bold, 12, 0, 12, bar.bar().section().get());
                page.down(20);
            }
            row.add(bar);
            wide += width(bar);
        }
        if (!row.isEmpty()) {
            row(row, wide);
        }
    }

    private float width(Notation.WrittenBar bar) {
        return Math.min(
                page.width(), Math.max(LEAST_BAR, 14 + EVENT * bar.events().size()));
    }

    private float height() {
        return CHORD + STRING * (strings - 1) + 30;
    }

    private void row(List<Notation.WrittenBar> bars, float wide) throws IOException {
        page.need(height());
        float stretch = Math.min(1.6f, page.width() / wide);
        float x = 0;
        for (Notation.WrittenBar bar : bars) {
            float width = width(bar) * stretch;
            for (int string = 0; string < strings; string++) {
                page.line(x, y(string), x + width, y(string), 0.5f);
            }
            page.line(x, y(strings - 1), x, y(0), 0.9f);
            page.line(x + width, y(strings - 1), x + width, y(0), 0.9f);
            page.text(
                    page.plain, 6, x + 1, CHORD - 8, Integer.toString(bar.bar().number()));
            events(bar, x, width);
            x += width;
        }
        page.down(height());
    }

    /** How far below the top of the row a string lies; the highest is on top. */
    private float y(int string) {
        return CHORD + STRING * (strings - 1 - string);
    }

    private void events(Notation.WrittenBar bar, float left, float width) throws IOException {
        int place = -1;
        for (Event event : bar.events()) {
            if (event.notes().isEmpty()) {
                continue;
            }
            float x = left + 10 + (width - 14) * event.from() / Math.max(1, bar.length());
            if (event.place() != place) {
                place = event.place();
                PlacedGrip placed = scored.part().arrangement().placements().get(place);
                page.text(
                        page.bold,
                        9,
                        x - 3,
                        CHORD - 6,
                        placed.played().orElseThrow().glyphs());
            }
            for (PlayedNote note : event.notes()) {
                String fret = fret(event, note);
                float wide = PdfCanvas.widthOf(page.mono, 8, fret);
                page.blank(x - 0.5f, y(note.string()) + 3, wide + 1, 6);
                page.text(page.mono, 8, x, y(note.string()) + 2.8f, fret);
            }
            page.text(page.plain, 7, x, y(0) + 13, hand(event));
        }
    }

    private static String fret(Event event, PlayedNote note) {
        return event.weight() == Weight.GHOST ? "×" : note.tabSign();
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
