package underhand.chart;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BiPredicate;

/**
 * Finds what a chart writes as a repeat, so that it can stand on a page as one: a passage between repeat signs, and its endings.
 * A bar that is only the one before again is none.
 */
public final class Folding {

    /** A passage shorter than this is written out. */
    private static final int SHORTEST = 2;

    /** An ending that is followed by another goes back once. */
    private static final int GOES_BACK = 2;

    private final List<Integer> backs;
    private final int before;
    private final BiPredicate<Integer, Integer> alike;
    private final List<FoldedBar> folded = new ArrayList<>();

    /** @param before bars of the song before the section */
    private Folding(List<Integer> backs, int before, BiPredicate<Integer, Integer> alike) {
        this.backs = backs;
        this.before = before;
        this.alike = alike;
    }

    /**
     * The bars of a song that stand on the page.
     *
     * @param sections of every bar of every section, how many bars further up stands the one it repeats; 0 for a bar that was
     *     written itself
     * @param alike whether two bars, counted from 1 in the song, look the same on the page
     */
    public static List<FoldedBar> of(List<List<Integer>> sections, BiPredicate<Integer, Integer> alike) {
        List<FoldedBar> all = new ArrayList<>();
        int before = 0;
        for (List<Integer> backs : sections) {
            Folding section = new Folding(backs, before, alike);
            for (int at = 0; at < backs.size(); ) {
                at = section.passage(at);
            }
            all.addAll(section.folded);
            before += backs.size();
        }
        return List.copyOf(all);
    }

    /** The bar that was written where this one comes from, both from 0; a bar like the one before is written itself. */
    private int root(int at) {
        int root = at;
        while (backs.get(root) >= SHORTEST) {
            root -= backs.get(root);
        }
        return root;
    }

    /** Adds the passage that begins at a bar, or the bar alone; where it goes on after it. */
    private int passage(int from) {
        int next = from + 1;
        while (next < backs.size() && root(next) != root(from)) {
            next++;
        }
        if (next == backs.size()) {
            return alone(from);
        }
        int length = next - from;
        int common = 0;
        while (common < length && next + common < backs.size() && comesAgain(from, next, common)) {
            common++;
        }
        if (common == length) {
            return whole(from, length);
        }
        boolean ends = common > 0
                && writtenUpTo(from + common) >= next
                && next + common < backs.size()
                && isWritten(next + common);
        return ends ? endings(from, length, common) : alone(from);
    }

    private int alone(int from) {
        folded.add(FoldedBar.alone(before + from + 1));
        return from + 1;
    }

    /** The numbers in the song of a bar of the first pass and of those that repeat it; places count from 0 in the section. */
    private List<Integer> plays(List<Integer> passes, int bar) {
        return passes.stream().map(pass -> before + pass + bar + 1).toList();
    }

    private boolean comesAgain(int from, int pass, int bar) {
        return root(pass + bar) == root(from + bar) && alike.test(before + from + bar + 1, before + pass + bar + 1);
    }

    private boolean isWritten(int at) {
        return root(at) == at;
    }

    /** A passage that comes again as it is, once or more. */
    private int whole(int from, int length) {
        List<Integer> passes = new ArrayList<>(List.of(from));
        int end = from + length;
        while (end + length <= backs.size() && isPass(from, end, length)) {
            passes.add(end);
            end += length;
        }
        for (int bar = 0; bar < length; bar++) {
            int times = bar == length - 1 ? passes.size() : 0;
            List<Integer> plays = plays(passes, bar);
            folded.add(new FoldedBar(plays.get(0), plays, bar == 0, times, 0, false, false));
        }
        return end;
    }

    private boolean isPass(int from, int pass, int length) {
        for (int bar = 0; bar < length; bar++) {
            if (!comesAgain(from, pass, bar)) {
                return false;
            }
        }
        return true;
    }

    /** A passage whose end is another one each time. */
    private int endings(int from, int length, int common) {
        List<Integer> passes = new ArrayList<>(List.of(from));
        int last = from + length;
        while (last + common < backs.size() && isPass(from, last, common) && isWritten(last + common)) {
            passes.add(last);
            last = writtenUpTo(last + common);
        }
        for (int bar = 0; bar < common; bar++) {
            List<Integer> plays = plays(passes, bar);
            folded.add(new FoldedBar(plays.get(0), plays, bar == 0, 0, 0, false, false));
        }
        int end = from;
        for (int i = 0; i < passes.size(); i++) {
            int first = passes.get(i) + common;
            boolean isLast = i + 1 == passes.size();
            // Where the last ending stops is not written: it is as long as the first.
            end = isLast ? Math.min(first + length - common, writtenUpTo(first)) : passes.get(i + 1);
            for (int at = first; at < end; at++) {
                boolean stops = at == end - 1;
                int bar = before + at + 1;
                int times = stops && !isLast ? GOES_BACK : 0;
                folded.add(new FoldedBar(bar, List.of(bar), false, times, i + 1, at == first, stops));
            }
        }
        return end;
    }

    private int writtenUpTo(int from) {
        int end = from;
        while (end < backs.size() && isWritten(end)) {
            end++;
        }
        return end;
    }
}
