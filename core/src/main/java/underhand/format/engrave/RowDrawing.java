package underhand.format.engrave;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import underhand.chart.FoldedBar;
import underhand.format.engrave.Lettering.Face;
import underhand.format.engrave.SpacedBar.Column;
import underhand.format.score.ScoredPart;
import underhand.format.staff.StaffBar;
import underhand.format.staff.StaffKey;
import underhand.format.staff.StaffWriter;
import underhand.part.Notation;
import underhand.part.Part;

/** One row: where its staff and its tab lie, and what stands in its bars. */
final class RowDrawing {

    private static final float CHORD = 14;
    private static final float WORDS_LINE = 12;
    private static final float BETWEEN = 12;
    private static final float AFTER = 9;
    private static final float WIDEST_STRETCH = 1.7f;
    private static final float LINE = 0.9f;
    private static final float THICK = 2.5f;
    private static final float ENDING = 11;
    private static final float ENDING_TOP = 2;
    private static final float ENDING_FOOT = 10;
    private static final float ENDING_NUMBER = 7;

    /** From a repeat's thin line to its dots. */
    private static final float TO_DOTS = 2.2f;

    private final ScoredPart scored;
    private final boolean writtenOut;
    private final float width;

    /** Points of clef and key, and those the bars ask for. */
    private final float head;

    private final float asked;

    /** How much smaller a bar stands that is wider than the row. */
    private final float scale;

    private final Lettering lettering;
    private final Spacing spacing;
    private final StaffKey key;
    private final List<SpacedBar> row;
    /** How much lower the names stand under the lines of endings. */
    private final float lift;

    private final float staffTop;
    private final float tabTop;

    RowDrawing(ScoredPart scored, boolean writtenOut, float width, Lettering lettering, List<SpacedBar> row) {
        this.scored = scored;
        this.writtenOut = writtenOut;
        this.width = width;
        this.lettering = lettering;
        this.spacing = new Spacing(scored.part(), lettering);
        this.key = StaffWriter.key(scored.part());
        this.row = row;
        int above = 0;
        int below = 0;
        for (Column column : row.stream().flatMap(bar -> bar.columns().stream()).toList()) {
            above = Math.max(above, StaffDrawing.above(column.notes()));
            below = Math.max(below, StaffDrawing.below(column.notes()));
        }
        this.head = StaffDrawing.headWidth(key);
        this.asked = (float) row.stream().mapToDouble(SpacedBar::width).sum();
        this.scale = Math.min(1, width / (head + asked));
        this.lift = row.stream().anyMatch(bar -> bar.folded().ending() > 0) ? ENDING : 0;
        this.staffTop = lift + CHORD + above * StaffDrawing.SPACE / 2;
        this.tabTop = staffTop + StaffDrawing.HEIGHT + below * StaffDrawing.SPACE / 2 + BETWEEN;
    }

    /** Points that clef and key take at the beginning of every row. */
    static float headWidth(Part part) {
        return StaffDrawing.headWidth(StaffWriter.key(part));
    }

    private int strings() {
        return scored.tuning().size();
    }

    float height() {
        boolean words = row.stream().anyMatch(bar -> !bar.words().isEmpty());
        return scale * (tabTop + TabDrawing.height(strings()) + (words ? WORDS_LINE : 0) + AFTER);
    }

    void draw(Ink row) {
        drawn(scale < 1 ? new ScaledInk(row, scale) : row);
    }

    private void drawn(Ink ink) {
        StaffDrawing staff = new StaffDrawing(ink, staffTop);
        TabDrawing tab = new TabDrawing(ink, lettering, strings(), tabTop);
        float stretch = Math.min(WIDEST_STRETCH, (width / scale - head) / asked);
        float right = head + asked * stretch;
        staff.lines(0, right);
        tab.lines(0, right);
        staff.head(0, key);
        tab.clef(0);
        ink.line(0, staffTop, 0, tab.y(0), LINE);
        float x = head;
        for (SpacedBar bar : row) {
            float end = x + bar.width() * stretch;
            bar(ink, bar, x, end, staff, tab);
            x = end;
            ink.line(x, staffTop, x, tab.y(0), LINE);
            if (bar.folded().times() > 0) {
                repeat(ink, x - 1, -1, staff, tab);
            }
        }
        SpacedBar last = row.get(row.size() - 1);
        if (last.folded().times() == 0
                && last.folded().plays().contains(scored.part().bars().size())) {
            ink.line(x - 3, staffTop, x - 3, tab.y(0), LINE);
            ink.line(x - 1, staffTop, x - 1, tab.y(0), THICK);
        }
    }

    /** A thick line, a thin one, and dots in staff and tab, one beside another the way a repeat's sign faces. */
    private void repeat(Ink ink, float x, int way, StaffDrawing staff, TabDrawing tab) {
        ink.line(x, staffTop, x, tab.y(0), THICK);
        float thin = x + way * THICK;
        ink.line(thin, staffTop, thin, tab.y(0), LINE);
        float dots = thin + way * TO_DOTS;
        staff.repeatDots(dots);
        tab.repeatDots(dots);
    }

    /** The line over an ending, its number where it begins. */
    private void ending(Ink ink, FoldedBar folded, float left, float right) {
        if (folded.ending() == 0) {
            return;
        }
        float end = folded.endingEnds() ? right - 2 : right;
        ink.line(left, ENDING_TOP, end, ENDING_TOP, LINE);
        if (folded.endingBegins()) {
            ink.line(left, ENDING_TOP, left, ENDING_FOOT, LINE);
            ink.text(Face.PLAIN, ENDING_NUMBER, left + 3, ENDING_FOOT - 1, folded.ending() + ".");
        }
        if (folded.endingEnds() && folded.times() > 0) {
            ink.line(end, ENDING_TOP, end, ENDING_FOOT, LINE);
        }
    }

    private void bar(Ink ink, SpacedBar bar, float left, float right, StaffDrawing staff, TabDrawing tab) {
        String number = Integer.toString(bar.number());
        float names = lift + Spacing.NAME;
        FoldedBar folded = bar.folded();
        ending(ink, folded, left, right);
        ink.text(Face.PLAIN, Spacing.NUMBER, left + 1, names, number);
        String times = Spacing.times(folded);
        if (!times.isEmpty()) {
            ink.text(Face.BOLD, Spacing.NAME, right - lettering.width(Face.BOLD, Spacing.NAME, times), names, times);
        }
        float wordsLine = tabTop + TabDrawing.height(strings()) + Spacing.WORDS;
        if (bar.isSign()) {
            staff.again(left, right - spacing.after(folded));
            String words = String.join(" ", bar.words().values());
            if (!words.isEmpty()) {
                ink.text(Face.PLAIN, Spacing.WORDS, left + Spacing.SIDE, wordsLine, words);
            }
            return;
        }
        if (folded.opens()) {
            repeat(ink, left + 1, 1, staff, tab);
        }
        float from = left + Spacing.SIDE + Spacing.before(folded);
        if (bar.newMetre()) {
            staff.metre(from, bar.bar().written().bar().metre());
            from += StaffDrawing.METRE;
        }
        Map<Integer, Float> xs = places(bar.columns(), from, right - Spacing.SIDE - spacing.after(folded));
        float afterNumber = left + spacing.numberWidth(bar.number());
        for (Column column : bar.columns()) {
            float x = xs.get(column.from());
            staff.fingers(column.notes(), x);
            column.begins()
                    .ifPresent(note -> ink.text(
                            Face.BOLD, Spacing.NAME, Math.max(afterNumber, x - 2), names, spacing.chord(note)));
        }
        bar.words()
                .forEach((column, words) -> ink.text(
                        Face.PLAIN,
                        Spacing.WORDS,
                        xs.get(bar.columns().get(column).from()),
                        wordsLine,
                        words));
        strokes(bar.bar().written(), xs, tab);
        Map<Integer, Column> columns =
                bar.columns().stream().collect(Collectors.toMap(Column::from, Function.identity()));
        for (int v = 0; v < bar.bar().voices().size(); v++) {
            StaffBar.StaffVoice voice = bar.bar().voices().get(v);
            float[] places = new float[voice.notes().size()];
            int[] rests = new int[places.length];
            for (int i = 0; i < places.length; i++) {
                int moment = voice.notes().get(i).from();
                places[i] = xs.get(moment);
                rests[i] = StaffDrawing.restAt(columns.get(moment).notes(), v == 0);
            }
            staff.notes(voice, places, rests);
        }
    }

    /** Where the heads of every column begin, by its moment; what signs leave of the room is shared out. */
    private static Map<Integer, Float> places(List<Column> columns, float from, float to) {
        float signs = 0;
        float room = 0;
        for (Column column : columns) {
            signs += column.before();
            room += column.after();
        }
        float spread = (to - from - signs) / room;
        Map<Integer, Float> xs = new HashMap<>();
        float at = from;
        for (Column column : columns) {
            float x = at + column.before();
            xs.put(column.from(), x);
            at = x + column.after() * spread;
        }
        return xs;
    }

    private void strokes(Notation.WrittenBar written, Map<Integer, Float> xs, TabDrawing tab) {
        List<Notation.Event> events = written.events();
        for (Notation.Event event : events) {
            float x = xs.get(event.from());
            if (!writtenOut && written.isHeard(event)) {
                tab.stroke(event, x);
            } else if (!event.notes().isEmpty()) {
                tab.event(event, x);
            }
        }
        for (Notation.Run muted : written.palmMuted()) {
            tab.palm(
                    xs.get(events.get(muted.first()).from()),
                    xs.get(events.get(muted.last()).from()) + 6);
        }
    }
}
