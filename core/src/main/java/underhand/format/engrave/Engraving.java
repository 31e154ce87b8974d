package underhand.format.engrave;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import underhand.chart.FoldedBar;
import underhand.chart.Metre;
import underhand.format.score.ScoredPart;
import underhand.format.staff.StaffBar;
import underhand.format.staff.StaffWriter;

/** A part as rows of bars: staff over tab, chords above, words below. */
public final class Engraving {

    private final ScoredPart scored;
    private final boolean writtenOut;
    private final float width;
    private final Lettering lettering;
    private final Spacing spacing;
    private final List<Row> rows = new ArrayList<>();

    /** A bar, and the sign it may be where it does not begin its row. */
    private record Choice(SpacedBar whole, Optional<SpacedBar> sign) {

        SpacedBar inRow() {
            return sign.orElse(whole);
        }
    }

    /**
     * Bars beside one another.
     *
     * @param bar the first, counted from 1
     * @param plays all bars that are played from it; those of a repeat too
     * @param height points
     */
    public record Row(int bar, List<Integer> plays, float height, Consumer<Ink> drawing) {

        public void draw(Ink ink) {
            drawing.accept(ink);
        }
    }

    private Engraving(ScoredPart scored, boolean writtenOut, float width, Lettering lettering) {
        this.scored = scored;
        this.writtenOut = writtenOut;
        this.width = width;
        this.lettering = lettering;
        this.spacing = new Spacing(scored.part(), lettering);
    }

    /**
     * The rows of a part. A section, and words that have no chords, begin a row.
     *
     * @param writtenOut whether strums have all their notes, and bars like the one before and repeats theirs
     * @param width points of a row
     */
    public static List<Row> rows(ScoredPart scored, boolean writtenOut, float width, Lettering lettering) {
        Engraving engraving = new Engraving(scored, writtenOut, width, lettering);
        engraving.write();
        return List.copyOf(engraving.rows);
    }

    private void write() {
        List<Choice> run = new ArrayList<>();
        List<StaffBar> bars = StaffWriter.write(scored.part(), !writtenOut);
        List<FoldedBar> folded = writtenOut
                ? bars.stream()
                        .map(bar -> FoldedBar.alone(bar.written().bar().number()))
                        .toList()
                : scored.foldedNotes();
        Metre metre = null;
        for (FoldedBar one : folded) {
            StaffBar bar = bars.get(one.bar() - 1);
            var played = bar.written().bar();
            boolean newMetre = !played.metre().equals(metre);
            metre = played.metre();
            if (played.section().isPresent()
                    || !scored.wordsBefore(played.number()).isEmpty()) {
                share(run);
                run.clear();
            }
            boolean mayBeSign = !writtenOut && bar.written().again() && !one.opens() && !one.endingBegins();
            run.add(new Choice(
                    spacing.whole(bar, one, newMetre),
                    mayBeSign ? Optional.of(spacing.sign(bar, one)) : Optional.empty()));
        }
        share(run);
    }

    /** Shares bars out to rows. A row does not begin with a sign for what stands in the row before. */
    private void share(List<Choice> run) {
        List<Breaks.Row> widths = new ArrayList<>();
        for (Choice bar : run) {
            widths.add(new Breaks.Row(bar.inRow().width(), bar.whole().width(), widths.isEmpty()));
        }
        List<Integer> firsts = Breaks.of(widths, width - RowDrawing.headWidth(scored.part()));
        for (int i = 0; i < firsts.size(); i++) {
            int end = i + 1 < firsts.size() ? firsts.get(i + 1) : run.size();
            List<SpacedBar> row = new ArrayList<>();
            for (Choice bar : run.subList(firsts.get(i), end)) {
                row.add(row.isEmpty() ? bar.whole() : bar.inRow());
            }
            RowDrawing drawing = new RowDrawing(scored, writtenOut, width, lettering, row);
            List<Integer> plays =
                    row.stream().flatMap(bar -> bar.folded().plays().stream()).toList();
            rows.add(new Row(row.get(0).number(), plays, drawing.height(), drawing::draw));
        }
    }
}
