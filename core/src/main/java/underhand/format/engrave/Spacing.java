package underhand.format.engrave;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import underhand.chart.FoldedBar;
import underhand.format.engrave.Lettering.Face;
import underhand.format.engrave.SpacedBar.Column;
import underhand.format.staff.ChordMark;
import underhand.format.staff.StaffBar;
import underhand.format.staff.StaffNote;
import underhand.part.Part;

/** How much room bars want beside one another, in points. */
final class Spacing {

    /** From a bar's line to its first column, and after its last. */
    static final float SIDE = 7;

    /** Size of the chords' names. */
    static final float NAME = 9;

    /** Size of the bars' numbers. */
    static final float NUMBER = 6;

    /** Size of the words. */
    static final float WORDS = 9;

    private static final float LEAST_BAR = 70;
    private static final float SIGN_BAR = 44;
    private static final float AFTER_TEXT = 4;

    /** Width of a repeat sign. */
    private static final float REPEAT = 8;

    private final Part part;
    private final Lettering lettering;

    Spacing(Part part, Lettering lettering) {
        this.part = part;
        this.lettering = lettering;
    }

    /** The name over a note that a chord begins with. */
    String chord(StaffNote note) {
        return ChordMark.of(part.arrangement().placements().get(note.event().place()));
    }

    /** A bar like the one before; its words may be others. */
    SpacedBar sign(StaffBar bar, FoldedBar folded) {
        Map<Integer, String> words = bar.written().words();
        float wide = lettering.width(Face.PLAIN, WORDS, String.join(" ", words.values()));
        float asked = Math.max(SIGN_BAR, 2 * SIDE + wide) + after(folded);
        return new SpacedBar(bar, folded, false, List.of(), words, asked);
    }

    /** A bar with its notes. */
    SpacedBar whole(StaffBar bar, FoldedBar folded, boolean newMetre) {
        List<Column> columns = columns(bar);
        Map<Integer, String> words =
                bar.written().wordsUnder(columns.stream().map(Column::from).toList());
        Map<Integer, String> names = new HashMap<>();
        for (int i = 0; i < columns.size(); i++) {
            int at = i;
            columns.get(i).begins().ifPresent(note -> names.put(at, chord(note)));
        }
        widen(columns, words, Face.PLAIN, WORDS, 0);
        // The first name stands after the bar's number.
        widen(columns, names, Face.BOLD, NAME, numberWidth(bar.written().bar().number()) - SIDE);
        widen(columns, hands(bar, columns), Face.PLAIN, TabDrawing.HAND_SIZE, 0);
        float sum = 2 * SIDE + before(folded) + after(folded) + (newMetre ? StaffDrawing.METRE : 0);
        for (Column column : columns) {
            sum += column.width();
        }
        return new SpacedBar(bar, folded, newMetre, columns, words, Math.max(LEAST_BAR, sum));
    }

    /** What the sign takes that a repeated passage begins with. */
    static float before(FoldedBar folded) {
        return folded.opens() ? REPEAT : 0;
    }

    /** What the sign takes that it goes back from, and how often it is played. */
    float after(FoldedBar folded) {
        return folded.times() == 0 ? 0 : REPEAT + lettering.width(Face.BOLD, NAME, times(folded));
    }

    /** What stands over the sign a passage goes back from; blank where it is played twice. */
    static String times(FoldedBar folded) {
        return folded.times() > 2 ? "×" + folded.times() : "";
    }

    /** What the right hand does in each column. */
    private static Map<Integer, String> hands(StaffBar bar, List<Column> columns) {
        Map<Integer, String> hands = new HashMap<>();
        bar.written().events().forEach(event -> {
            for (int i = 0; i < columns.size(); i++) {
                if (columns.get(i).from() == event.from()) {
                    hands.put(i, TabDrawing.hand(event));
                }
            }
        });
        return hands;
    }

    /** From a bar's line to past its number. */
    float numberWidth(int number) {
        return 5.5f + lettering.width(Face.PLAIN, NUMBER, Integer.toString(number));
    }

    /**
     * Makes the columns that texts stand over or under as wide in all as each text, up to the next.
     *
     * @param moved points the text of the first column may stand farther right than the column
     */
    private void widen(List<Column> columns, Map<Integer, String> texts, Face face, float points, float moved) {
        float missing = 0;
        for (int i = 0; i < columns.size(); i++) {
            Column column = columns.get(i);
            if (texts.containsKey(i)) {
                // It begins with the heads, after what stands before them.
                missing = lettering.width(face, points, texts.get(i)) + AFTER_TEXT + (i == 0 ? moved : 0);
                missing -= column.after();
            } else {
                missing -= column.width();
            }
            boolean last = i + 1 == columns.size() || texts.containsKey(i + 1);
            if (missing > 0 && last) {
                columns.set(i, column.wider(missing));
            }
        }
    }

    private static List<Column> columns(StaffBar bar) {
        return new ArrayList<>(bar.columns().stream()
                .map(c -> new Column(c.from(), c.notes(), StaffDrawing.before(c.notes()), width(c.quarters())))
                .toList());
    }

    /** Longer notes take more room, but not in proportion. */
    private static float width(double quarters) {
        double sixteenths = Math.max(1, quarters * 4);
        return 10 + 4 * (float) (Math.log(sixteenths) / Math.log(2));
    }
}
