package underhand.format.engrave;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;

/**
 * Where rows go over to a new page, or bars to a new row: said here of rows. Of all ways with the fewest pages it takes the one
 * whose pages are filled alike and turn between sections; no page begins with the last row of a section as long as there is
 * another way.
 */
public final class Breaks {

    /** What a page that begins within a section counts, against 1 for a page left empty. */
    private static final double WITHIN = 0.15;

    /** What it counts where it parts a first row from its section. */
    private static final double AFTER_FIRST = 0.4;

    /** What it counts where it begins with the last row of a section. */
    private static final double LEFTOVER = 100;

    private static final double SAME = 1e-9;

    /**
     * What is not parted: a row of bars or of words with the headings over it.
     *
     * @param height points
     * @param asFirst points where it begins a page; no less
     * @param opens whether a section begins with it
     */
    public record Row(float height, float asFirst, boolean opens) {

        public Row(float height, boolean opens) {
            this(height, height, opens);
        }
    }

    private final List<Row> rows;
    private final float room;

    private Breaks(List<Row> rows, float room) {
        this.rows = rows;
        this.room = room;
    }

    /**
     * The first row of every page; a row higher than a page has one of its own.
     *
     * @param room points of a page
     */
    public static List<Integer> of(List<Row> rows, float room) {
        return rows.isEmpty() ? List.of() : new Breaks(rows, room).best();
    }

    private List<Integer> best() {
        int pages = fewest();
        // By how many pages are used and how many rows stand on them; the row the last of these pages begins with.
        double[] cost = new double[rows.size() + 1];
        Arrays.fill(cost, Double.POSITIVE_INFINITY);
        cost[0] = 0;
        int[][] from = new int[pages + 1][rows.size() + 1];
        for (int page = 1; page <= pages; page++) {
            double[] next = new double[rows.size() + 1];
            Arrays.fill(next, Double.POSITIVE_INFINITY);
            for (int first = 0; first < rows.size(); first++) {
                if (cost[first] == Double.POSITIVE_INFINITY) {
                    continue;
                }
                double turn = cost[first] + turn(first);
                float high = 0;
                for (int end = first + 1; end <= rows.size(); end++) {
                    Row row = rows.get(end - 1);
                    high += end == first + 1 ? row.asFirst() : row.height();
                    if (high > room && end > first + 1) {
                        break;
                    }
                    double empty = Math.max(0, 1 - high / room);
                    // Of two ways as good the first pages are the fuller ones.
                    if (turn + empty * empty < next[end] + SAME) {
                        next[end] = turn + empty * empty;
                        from[page][end] = first;
                    }
                }
            }
            cost = next;
        }
        List<Integer> firsts = new ArrayList<>();
        for (int page = pages, end = rows.size(); page > 0; page--) {
            end = from[page][end];
            firsts.add(end);
        }
        Collections.reverse(firsts);
        return firsts;
    }

    private int fewest() {
        int pages = 0;
        float left = 0;
        for (Row row : rows) {
            if (pages == 0 || row.height() > left) {
                pages++;
                left = room - row.asFirst();
            } else {
                left -= row.height();
            }
        }
        return pages;
    }

    /** What it counts that a page begins with a row. */
    private double turn(int row) {
        if (row == 0 || rows.get(row).opens()) {
            return 0;
        }
        if (row + 1 == rows.size() || rows.get(row + 1).opens()) {
            return LEFTOVER;
        }
        return rows.get(row - 1).opens() ? AFTER_FIRST : WITHIN;
    }
}
