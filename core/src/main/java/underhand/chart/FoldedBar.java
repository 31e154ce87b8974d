package underhand.chart;

import java.util.List;

/**
 * A bar as it stands on a page where what comes again stands once.
 *
 * @param bar its number in the song, from 1
 * @param plays numbers of the bars it stands for, its own first
 * @param opens whether a passage that comes again begins with it
 * @param times how often the passage that goes back from it is played; 0 where none goes back
 * @param ending number of the ending it belongs to, from 1; 0 for none
 * @param endingBegins whether that ending begins with it
 * @param endingEnds whether that ending ends with it
 */
public record FoldedBar(
        int bar, List<Integer> plays, boolean opens, int times, int ending, boolean endingBegins, boolean endingEnds) {

    public FoldedBar {
        plays = List.copyOf(plays);
    }

    /** A bar that stands for itself alone. */
    public static FoldedBar alone(int bar) {
        return new FoldedBar(bar, List.of(bar), false, 0, 0, false, false);
    }

    /** Whether it stands on the page as any bar does. */
    public boolean isPlain() {
        return plays.size() == 1 && !opens && times == 0 && ending == 0;
    }
}
