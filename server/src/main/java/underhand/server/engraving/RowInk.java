package underhand.server.engraving;

import java.util.ArrayList;
import java.util.List;
import underhand.format.engrave.Engraving;
import underhand.format.engrave.Ink;
import underhand.format.engrave.Lettering.Face;
import underhand.format.score.ScoredPart;
import underhand.server.engraving.EngravingView.EngravedRowView;
import underhand.server.engraving.EngravingView.EngravedSignView;
import underhand.server.engraving.EngravingView.EngravedTextView;

/** Writes down what is drawn in a row. */
final class RowInk implements Ink {

    /** Staff spaces of an em. */
    private static final int SPACES = 4;

    private final List<double[]> lines = new ArrayList<>();
    private final List<double[]> blanks = new ArrayList<>();
    private final List<double[]> arcs = new ArrayList<>();
    private final List<EngravedSignView> signs = new ArrayList<>();
    private final List<EngravedTextView> texts = new ArrayList<>();

    private RowInk() {}

    static EngravedRowView view(ScoredPart scored, Engraving.Row row) {
        RowInk ink = new RowInk();
        row.draw(ink);
        return new EngravedRowView(
                row.bar(),
                row.plays(),
                scored.heading(row.bar()).orElse(null),
                rounded(row.height()),
                ink.lines,
                ink.blanks,
                ink.arcs,
                ink.signs,
                ink.texts);
    }

    @Override
    public void text(Face face, float points, float x, float y, String text) {
        texts.add(new EngravedTextView(face, rounded(points), rounded(x), rounded(y), text));
    }

    @Override
    public void sign(int sign, float space, float x, float y) {
        signs.add(new EngravedSignView(Character.toString(sign), rounded(SPACES * space), rounded(x), rounded(y)));
    }

    @Override
    public void line(float x1, float y1, float x2, float y2, float wide) {
        lines.add(rounded(x1, y1, x2, y2, wide));
    }

    @Override
    public void arc(float x1, float x2, float y, float bend) {
        arcs.add(rounded(x1, x2, y, bend));
    }

    @Override
    public void blank(float x, float y, float wide, float tall) {
        blanks.add(rounded(x, y, wide, tall));
    }

    private static double[] rounded(float... points) {
        double[] rounded = new double[points.length];
        for (int i = 0; i < points.length; i++) {
            rounded[i] = rounded(points[i]);
        }
        return rounded;
    }

    /** To a hundredth of a point. */
    private static double rounded(float points) {
        return Math.round(points * 100) / 100.0;
    }
}
