package underhand.server.files;

import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiConsumer;
import underhand.format.engrave.Lettering.Face;
import underhand.format.score.Handedness;
import underhand.format.score.ScoredPart;
import underhand.hand.Grip;
import underhand.neck.Shape;
import underhand.solve.PlacedGrip;

/** Rows of chord frames, drawn as on the page: fingers stand under their strings. */
final class PdfGrips {

    /** From one frame to the next. */
    private static final float FRAME = 72;

    private static final float LEFT = 13;
    private static final float WIDTH = 46;
    private static final float FRET = 12;
    private static final float NAME = 11;
    private static final float TOP = 27;
    private static final float DOT = 3.7f;
    private static final float BARRE = 6;
    private static final float SIGN = 8;
    private static final float FINGER = 7.5f;
    private static final float BELOW = 18;

    private PdfGrips() {}

    /** A grip under the name its chord has. */
    record Named(String name, Grip grip) {}

    /** Every different grip of a part in the order it comes. */
    static List<Named> of(ScoredPart scored) {
        Map<Named, Named> different = new LinkedHashMap<>();
        for (PlacedGrip placed : scored.part().arrangement().placements()) {
            placed.grip().ifPresent(grip -> {
                Named named = new Named(placed.played().orElseThrow().glyphs(), grip.grip());
                different.putIfAbsent(named, named);
            });
        }
        return List.copyOf(different.keySet());
    }

    /**
     * Adds the frames, as many a row as fit.
     *
     * @param to takes the height of a row and its drawing
     */
    static void add(PdfCanvas page, List<Named> grips, Handedness handedness, BiConsumer<Float, PdfFlow.Drawing> to) {
        int aRow = Math.max(1, (int) (page.width() / FRAME));
        for (int from = 0; from < grips.size(); from += aRow) {
            List<Named> row = grips.subList(from, Math.min(grips.size(), from + aRow));
            int frets =
                    row.stream().mapToInt(g -> g.grip().window().frets()).max().orElse(0);
            to.accept(TOP + frets * FRET + BELOW, at -> {
                for (int i = 0; i < row.size(); i++) {
                    frame(at, i * FRAME + LEFT, row.get(i), handedness);
                }
            });
        }
    }

    private static void frame(PdfCanvas page, float left, Named named, Handedness handedness) throws IOException {
        Shape shape = named.grip().shape();
        var window = named.grip().window();
        float step = WIDTH / (shape.strings() - 1);
        float bottom = TOP + window.frets() * FRET;
        page.text(Face.BOLD, NAME, left, NAME, named.name());
        for (int fret = 0; fret <= window.frets(); fret++) {
            float y = TOP + fret * FRET;
            page.line(left, y, left + WIDTH, y, fret == 0 && window.atNut() ? 2.2f : 0.7f);
        }
        if (!window.atNut()) {
            String first = Integer.toString(window.first());
            float x = left - 6 - page.widthOf(Face.PLAIN, SIGN, first);
            page.text(Face.PLAIN, SIGN, x, TOP + FRET / 2 + 3, first);
        }
        for (int i = 0; i < shape.strings(); i++) {
            float x = left + handedness.column(i, shape.strings()) * step;
            page.line(x, TOP, x, bottom, 0.7f);
            if (!shape.isFretted(i)) {
                page.centred(Face.PLAIN, SIGN, x, TOP - 3, shape.isSilent(i) ? "×" : "o");
            }
        }
        for (var hold : named.grip().holds()) {
            float y = TOP + (hold.fret() - window.first() + 0.5f) * FRET;
            float low = left + handedness.column(hold.lowString(), shape.strings()) * step;
            float high = left + handedness.column(hold.highString(), shape.strings()) * step;
            if (hold.isBarre()) {
                page.roundLine(low, high, y, BARRE);
            }
            for (int string = hold.lowString(); string <= hold.highString(); string++) {
                if (shape.isFretted(string) && shape.fret(string) == hold.fret()) {
                    float x = left + handedness.column(string, shape.strings()) * step;
                    page.dot(x, y, DOT);
                    page.centred(Face.PLAIN, FINGER, x, bottom + FINGER + 2, hold.label());
                }
            }
        }
    }
}
