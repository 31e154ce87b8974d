package underhand.server.files;

import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import underhand.chart.Chart;
import underhand.chart.Metre;
import underhand.format.score.ScoredPart;
import underhand.format.staff.ChordMark;
import underhand.format.staff.StaffBar;
import underhand.format.staff.StaffKey;
import underhand.format.staff.StaffNote;
import underhand.format.staff.StaffWriter;
import underhand.part.Notation;
import underhand.server.files.PdfType.Face;

/** Draws a part as rows of bars, staff over tab, chords above. */
final class PdfScore {

    private static final float LEAST_BAR = 70;
    private static final float SIGN_BAR = 44;
    private static final float SIDE = 7;
    private static final float CHORD = 14;
    private static final float NAME = 9;
    private static final float NUMBER = 6;
    private static final float WORDS = 9;
    private static final float WORDS_LINE = 12;
    private static final float BETWEEN = 12;
    private static final float AFTER = 9;
    private static final float WIDEST_STRETCH = 1.7f;

    private final PdfCanvas page;
    private final PdfFlow flow;
    private final ScoredPart scored;
    private final PdfHeadings headings;
    private final StaffKey key;
    private final boolean writtenOut;

    /**
     * A bar with its columns, none where it is the sign of the one before again, the words under them by their numbers, and the
     * points it wants.
     */
    private record Spaced(
            StaffBar bar, boolean newMetre, List<Column> columns, Map<Integer, String> words, float width) {

        boolean isSign() {
            return columns.isEmpty();
        }
    }

    /** A bar, and the sign it may be where it does not begin its row. */
    private record Choice(Spaced whole, Optional<Spaced> sign) {

        Spaced inRow() {
            return sign.orElse(whole);
        }
    }

    /**
     * The notes of all voices that stand over one another.
     *
     * @param before points they want to their left
     * @param after points they want for themselves and up to the next
     */
    private record Column(int from, List<StaffNote> notes, float before, float after) {

        Optional<StaffNote> begins() {
            return notes.stream().filter(StaffNote::begins).findFirst();
        }

        Column wider(float points) {
            return new Column(from, notes, before, after + points);
        }
    }

    /** @param writtenOut whether strums have all their notes, and bars like the one before theirs */
    PdfScore(PdfCanvas page, PdfFlow flow, ScoredPart scored, boolean writtenOut) {
        this.writtenOut = writtenOut;
        this.page = page;
        this.flow = flow;
        this.scored = scored;
        this.headings = new PdfHeadings(flow, scored);
        this.key = StaffWriter.key(scored.part());
    }

    void write() throws IOException {
        List<Choice> run = new ArrayList<>();
        Metre metre = null;
        for (StaffBar bar : StaffWriter.write(scored.part(), !writtenOut)) {
            Metre own = bar.written().bar().metre();
            boolean newMetre = !own.equals(metre);
            metre = own;
            List<Chart.Words> spoken = scored.wordsBefore(bar.written().bar().number());
            if (bar.written().bar().section().isPresent() || !spoken.isEmpty()) {
                rows(run);
                run.clear();
            }
            PdfWords.add(page, flow, spoken);
            boolean mayBeSign = !writtenOut && bar.written().again();
            run.add(new Choice(spaced(bar, newMetre), mayBeSign ? Optional.of(sign(bar)) : Optional.empty()));
        }
        rows(run);
        PdfWords.add(page, flow, scored.wordsAfter());
    }

    /** Shares bars out to rows. A row does not begin with a sign for what stands in the row before. */
    private void rows(List<Choice> run) {
        List<Breaks.Row> widths = new ArrayList<>();
        for (Choice bar : run) {
            widths.add(new Breaks.Row(bar.inRow().width(), bar.whole().width(), widths.isEmpty()));
        }
        List<Integer> firsts = Breaks.of(widths, page.width() - PdfStaff.headWidth(key));
        for (int i = 0; i < firsts.size(); i++) {
            int end = i + 1 < firsts.size() ? firsts.get(i + 1) : run.size();
            List<Spaced> row = new ArrayList<>();
            for (Choice bar : run.subList(firsts.get(i), end)) {
                row.add(row.isEmpty() ? bar.whole() : bar.inRow());
            }
            row(row);
        }
    }

    /** A bar like the one before; its words may be others. */
    private Spaced sign(StaffBar bar) throws IOException {
        Map<Integer, String> words = bar.written().words();
        float wide = page.widthOf(Face.PLAIN, WORDS, String.join(" ", words.values()));
        return new Spaced(bar, false, List.of(), words, Math.max(SIGN_BAR, 2 * SIDE + wide));
    }

    private Spaced spaced(StaffBar bar, boolean newMetre) throws IOException {
        List<Column> columns = columns(bar);
        Map<Integer, String> words =
                bar.written().wordsUnder(columns.stream().map(Column::from).toList());
        Map<Integer, String> names = new HashMap<>();
        for (int i = 0; i < columns.size(); i++) {
            int at = i;
            columns.get(i).begins().ifPresent(note -> names.put(at, chord(note)));
        }
        widen(columns, words, Face.PLAIN, WORDS);
        widen(columns, names, Face.BOLD, NAME);
        float sum = 2 * SIDE + (newMetre ? PdfStaff.METRE : 0);
        for (Column column : columns) {
            sum += column.before() + column.after();
        }
        return new Spaced(bar, newMetre, columns, words, Math.max(LEAST_BAR, sum));
    }

    /** Makes the columns that texts stand over or under as wide in all as each text, up to the next. */
    private void widen(List<Column> columns, Map<Integer, String> texts, Face face, float points) throws IOException {
        float missing = 0;
        for (int i = 0; i < columns.size(); i++) {
            Column column = columns.get(i);
            if (texts.containsKey(i)) {
                missing = page.widthOf(face, points, texts.get(i)) + 4;
            }
            missing -= column.before() + column.after();
            boolean last = i + 1 == columns.size() || texts.containsKey(i + 1);
            if (missing > 0 && last) {
                columns.set(i, column.wider(missing));
            }
        }
    }

    private static List<Column> columns(StaffBar bar) {
        return new ArrayList<>(bar.columns().stream()
                .map(c -> {
                    double before = c.notes().stream()
                            .mapToDouble(PdfStaff::before)
                            .max()
                            .orElse(0);
                    return new Column(c.from(), c.notes(), (float) before, width(c.quarters()));
                })
                .toList());
    }

    /** Longer notes take more room, but not in proportion. */
    private static float width(double quarters) {
        double sixteenths = Math.max(1, quarters * 4);
        return 10 + 4 * (float) (Math.log(sixteenths) / Math.log(2));
    }

    private String chord(StaffNote note) {
        return ChordMark.of(
                scored.part().arrangement().placements().get(note.event().place()));
    }

    private void row(List<Spaced> row) {
        int strings = scored.tuning().size();
        int above = 0;
        int below = 0;
        for (Spaced spaced : row) {
            for (StaffNote note : spaced.isSign()
                    ? List.<StaffNote>of()
                    : spaced.bar().notes().toList()) {
                above = Math.max(above, PdfStaff.above(note));
                below = Math.max(below, PdfStaff.below(note));
            }
        }
        float staffTop = CHORD + above * PdfStaff.SPACE / 2;
        float tabTop = staffTop + PdfStaff.HEIGHT + below * PdfStaff.SPACE / 2 + BETWEEN;
        boolean words = row.stream().anyMatch(spaced -> !spaced.words().isEmpty());
        float height = tabTop + PdfTab.height(strings) + (words ? WORDS_LINE : 0) + AFTER;
        headings.add(row.get(0).bar().written().bar().number());
        flow.row(height, at -> draw(row, staffTop, tabTop));
    }

    private void draw(List<Spaced> row, float staffTop, float tabTop) throws IOException {
        int strings = scored.tuning().size();
        PdfStaff staff = new PdfStaff(page, staffTop);
        PdfTab tab = new PdfTab(page, strings, tabTop);
        float head = PdfStaff.headWidth(key);
        float asked = (float) row.stream().mapToDouble(Spaced::width).sum();
        float stretch = Math.min(WIDEST_STRETCH, (page.width() - head) / asked);
        float right = head + asked * stretch;
        staff.lines(0, right);
        tab.lines(0, right);
        staff.head(0, key);
        tab.clef(0);
        page.line(0, staffTop, 0, tab.y(0), 0.9f);
        float x = head;
        float wordsLine = tabTop + PdfTab.height(strings) + WORDS;
        for (Spaced spaced : row) {
            bar(spaced, x, stretch, staff, tab, wordsLine);
            x += spaced.width() * stretch;
            page.line(x, staffTop, x, tab.y(0), 0.9f);
        }
        if (isLast(row)) {
            page.line(x - 3, staffTop, x - 3, tab.y(0), 0.9f);
            page.line(x - 1, staffTop, x - 1, tab.y(0), 2.5f);
        }
    }

    private boolean isLast(List<Spaced> row) {
        int bars = scored.part().bars().size();
        return row.get(row.size() - 1).bar().written().bar().number() == bars;
    }

    private void bar(Spaced spaced, float left, float stretch, PdfStaff staff, PdfTab tab, float wordsLine)
            throws IOException {
        int number = spaced.bar().written().bar().number();
        page.text(Face.PLAIN, NUMBER, left + 1, NAME, Integer.toString(number));
        if (spaced.isSign()) {
            staff.again(left, left + spaced.width() * stretch);
            String words = String.join(" ", spaced.words().values());
            page.text(Face.PLAIN, WORDS, left + SIDE, wordsLine, words);
            return;
        }
        float afterNumber = left + 4 + page.widthOf(Face.PLAIN, NUMBER, Integer.toString(number));
        float at = left + SIDE;
        if (spaced.newMetre()) {
            staff.metre(at, spaced.bar().written().bar().metre());
            at += PdfStaff.METRE;
        }
        float signs = 0;
        float room = 0;
        for (Column column : spaced.columns()) {
            signs += column.before();
            room += column.after();
        }
        float spread = (left + spaced.width() * stretch - SIDE - at - signs) / room;
        Map<Integer, Float> xs = new HashMap<>();
        for (Column column : spaced.columns()) {
            float x = at + column.before();
            xs.put(column.from(), x);
            at = x + column.after() * spread;
            if (column.begins().isPresent()) {
                page.text(
                        Face.BOLD,
                        NAME,
                        Math.max(afterNumber, x - 2),
                        NAME,
                        chord(column.begins().get()));
            }
        }
        for (Map.Entry<Integer, String> words : spaced.words().entrySet()) {
            float x = xs.get(spaced.columns().get(words.getKey()).from());
            page.text(Face.PLAIN, WORDS, x, wordsLine, words.getValue());
        }
        List<Notation.Event> events = spaced.bar().written().events();
        for (Notation.Event event : events) {
            if (!writtenOut && spaced.bar().written().isHeard(event)) {
                tab.stroke(event, xs.get(event.from()));
            } else if (!event.notes().isEmpty()) {
                tab.event(event, xs.get(event.from()));
            }
        }
        for (StaffBar.StaffVoice voice : spaced.bar().voices()) {
            float[] places = new float[voice.notes().size()];
            for (int i = 0; i < places.length; i++) {
                places[i] = xs.get(voice.notes().get(i).from());
            }
            staff.notes(voice, places);
        }
        for (Notation.Run muted : spaced.bar().written().palmMuted()) {
            tab.palm(
                    xs.get(events.get(muted.first()).from()),
                    xs.get(events.get(muted.last()).from()) + 6);
        }
    }
}
