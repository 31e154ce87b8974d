package underhand.server.files;

import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import underhand.chart.Chart;
import underhand.chart.FoldedBar;
import underhand.chart.Metre;
import underhand.chord.ChordSymbol;
import underhand.format.engrave.Lettering.Face;
import underhand.format.score.ScoredPart;
import underhand.solve.PlacedGrip;

/**
 * Chords with their frets over the words, in the lines of the chart. A line too wide for the page is shared out to rows of
 * about as many bars; a bar is parted only where it is wider than the page itself.
 */
final class PdfChordRows {

    private static final float SIZE = 11.5f;
    private static final float FRETS = 7.2f;
    private static final float CHORD_LINE = SIZE;
    private static final float FRETS_LINE = 20;
    private static final float WORDS_LINE = 34;
    private static final float WITH_WORDS = 44;
    private static final float WITHOUT_WORDS = 32;

    /** From a bar's line to its first chord, and after what stands over or under another. */
    private static final float GAP = 5;

    private static final float THIN = 0.6f;
    private static final float THICK = 1.8f;

    /** Width of a repeat's sign beyond the bar's line. */
    private static final float REPEAT = 7;

    /** Bars of a row that share the page's width where no words stand in it. */
    private static final int COLUMNS = 4;

    private final PdfCanvas page;
    private final PdfFlow flow;
    private final ScoredPart scored;
    private final PdfHeadings headings;

    /** By every bar the one that stands for it; none where all are written out. */
    private final Map<Integer, FoldedBar> folded = new HashMap<>();

    /** A chord with what stands under it. */
    private record Cell(String chord, String frets, String words, float width) {}

    /**
     * Cells that stay together.
     *
     * @param opens whether a repeat begins with it
     * @param times how often what goes back from it is played; 0 where nothing goes back
     */
    private record OneBar(List<Cell> cells, boolean opens, int times, float width) {

        static OneBar of(List<Cell> cells, boolean opens, int times) {
            float width = GAP + (float) cells.stream().mapToDouble(Cell::width).sum();
            float signs =
                    (opens ? REPEAT : 0) + (times > 0 ? REPEAT + PdfType.width(Face.BOLD, SIZE, howOften(times)) : 0);
            return new OneBar(List.copyOf(cells), opens, times, width + signs);
        }

        boolean hasWords() {
            return cells.stream().anyMatch(cell -> !cell.words().isBlank());
        }
    }

    /** @param writtenOut whether repeats have all their bars */
    PdfChordRows(PdfCanvas page, PdfFlow flow, ScoredPart scored, boolean writtenOut) {
        if (!writtenOut) {
            scored.folded().forEach(bar -> bar.plays().forEach(play -> folded.put(play, bar)));
        }
        this.page = page;
        this.flow = flow;
        this.scored = scored;
        this.headings = new PdfHeadings(flow, scored);
    }

    void write() throws IOException {
        List<OneBar> line = new ArrayList<>();
        List<Cell> cells = new ArrayList<>();
        Optional<Metre> metre = Optional.empty();
        FoldedBar last = null;
        for (PlacedGrip placed : scored.part().arrangement().placements()) {
            int bar = placed.slot().bar();
            FoldedBar one = folded.getOrDefault(bar, FoldedBar.alone(bar));
            if (one.bar() != bar) {
                continue;
            }
            boolean opens = !one.equals(last);
            if (opens) {
                finish(cells, line, last);
                List<Chart.Words> spoken = scored.wordsBefore(bar);
                if (placed.slot().newLine() || !spoken.isEmpty()) {
                    rows(line);
                    line.clear();
                }
                PdfWords.add(page, flow, spoken);
                headings.add(bar);
                if (one.endingBegins()) {
                    cells.add(cell(one.ending() + ".", "", ""));
                }
            }
            boolean newMetre =
                    opens && metre.filter(m -> !m.equals(placed.slot().metre())).isPresent();
            cells.add(cell(placed, newMetre));
            metre = Optional.of(placed.slot().metre());
            last = one;
        }
        finish(cells, line, last);
        rows(line);
        PdfWords.add(page, flow, scored.wordsAfter());
    }

    private static void finish(List<Cell> cells, List<OneBar> line, FoldedBar bar) {
        if (!cells.isEmpty()) {
            line.add(OneBar.of(cells, bar.opens(), bar.times()));
            cells.clear();
        }
    }

    /** What stands behind the sign a passage goes back from; blank where it is played twice. */
    private static String howOften(int times) {
        return times > 2 ? "×" + times : "";
    }

    private Cell cell(PlacedGrip placed, boolean newMetre) throws IOException {
        String chord = (newMetre ? "(" + placed.slot().metre() + ") " : "")
                + placed.played().map(ChordSymbol::glyphs).orElse("N.C.");
        return cell(chord, placed.grip().map(g -> g.grip().shape().toString()).orElse(""), placed.words());
    }

    private Cell cell(String chord, String frets, String words) throws IOException {
        float wide = Math.max(
                Math.max(page.widthOf(Face.BOLD, SIZE, chord), page.widthOf(Face.MONO, FRETS, frets)),
                page.widthOf(Face.PLAIN, SIZE, words));
        return new Cell(chord, frets, words, wide + GAP);
    }

    private void rows(List<OneBar> line) throws IOException {
        if (line.isEmpty()) {
            return;
        }
        for (List<OneBar> row : shared(line)) {
            if (row.size() == 1 && row.get(0).width() > page.width()) {
                for (OneBar piece : parted(row.get(0))) {
                    row(List.of(piece));
                }
            } else {
                row(row);
            }
        }
    }

    /** A line in as few rows as fit, with about as many bars each. */
    private List<List<OneBar>> shared(List<OneBar> line) {
        for (int rows = 1; rows < line.size(); rows++) {
            List<List<OneBar>> shared = new ArrayList<>();
            for (int i = 0; i < rows; i++) {
                shared.add(List.copyOf(line.subList(i * line.size() / rows, (i + 1) * line.size() / rows)));
            }
            if (shared.stream().allMatch(row -> width(row) <= page.width())) {
                return shared;
            }
        }
        return line.stream().map(List::of).toList();
    }

    private static float width(List<OneBar> row) {
        return (float) row.stream().mapToDouble(OneBar::width).sum();
    }

    /** A bar wider than the page in pieces that are not; the words of one chord are wrapped. */
    private List<OneBar> parted(OneBar bar) throws IOException {
        float room = page.width() - 2 * GAP;
        List<OneBar> pieces = new ArrayList<>();
        List<Cell> open = new ArrayList<>();
        boolean opens = bar.opens();
        for (Cell cell : bar.cells()) {
            List<String> words = PdfType.wrapped(Face.PLAIN, SIZE, room, cell.words());
            for (int i = 0; i < words.size(); i++) {
                Cell piece = i == 0 ? cell(cell.chord(), cell.frets(), words.get(i)) : cell("", "", words.get(i));
                if (!open.isEmpty() && OneBar.of(open, opens, 0).width() + piece.width() > page.width()) {
                    pieces.add(OneBar.of(open, opens, 0));
                    opens = false;
                    open.clear();
                }
                open.add(piece);
            }
        }
        pieces.add(OneBar.of(open, opens, bar.times()));
        return pieces;
    }

    private void row(List<OneBar> row) {
        boolean words = row.stream().anyMatch(OneBar::hasWords);
        float widest = (float) row.stream().mapToDouble(OneBar::width).max().orElse(0);
        float column = page.width() / Math.max(COLUMNS, row.size());
        // Without words the bars of rows stand under one another.
        boolean even = !words && widest <= column;
        flow.row(words ? WITH_WORDS : WITHOUT_WORDS, at -> {
            float x = 0;
            for (OneBar bar : row) {
                at.line(x, 1, x, FRETS_LINE + 1, THIN);
                float end = x + (even ? column : bar.width());
                float from = x + GAP;
                if (bar.opens()) {
                    repeat(at, x, 1);
                    from += REPEAT;
                }
                float cells =
                        (float) bar.cells().stream().mapToDouble(Cell::width).sum();
                float spread = even ? (end - from - (bar.width() - (from - x) - cells)) / cells : 1;
                for (Cell cell : bar.cells()) {
                    at.text(Face.BOLD, SIZE, from, CHORD_LINE, cell.chord());
                    at.text(Face.MONO, FRETS, from, FRETS_LINE, cell.frets());
                    at.text(Face.PLAIN, SIZE, from, WORDS_LINE, cell.words());
                    from += cell.width() * spread;
                }
                if (bar.times() > 0) {
                    String times = howOften(bar.times());
                    float sign = end - PdfType.width(Face.BOLD, SIZE, times) - (times.isEmpty() ? 1 : GAP);
                    repeat(at, sign, -1);
                    at.text(Face.BOLD, SIZE, sign + 2, CHORD_LINE, times);
                }
                x = end;
            }
        });
    }

    /** A thick line, a thin one, and dots, one beside another the way a repeat's sign faces. */
    private static void repeat(PdfCanvas at, float x, int way) throws IOException {
        at.line(x, 1, x, FRETS_LINE + 1, THICK);
        at.line(x + way * 2.2f, 1, x + way * 2.2f, FRETS_LINE + 1, THIN);
        at.dot(x + way * 4.6f, FRETS_LINE / 2 - 2.5f, 0.9f);
        at.dot(x + way * 4.6f, FRETS_LINE / 2 + 3.5f, 0.9f);
    }
}
