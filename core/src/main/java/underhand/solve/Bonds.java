package underhand.solve;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import underhand.chord.ChordSymbol;
import underhand.hand.Grip;
import underhand.harmony.Bond;
import underhand.harmony.ReadingId;
import underhand.neck.Shape;
import underhand.solve.Layer.Block;

/** Whether the grips of a reading are bound to each other as its rule says. */
final class Bonds {

    /** A broken bond costs more than any other change; a lock is worth more. */
    static final double BROKEN = 1e5;

    /** A voice moves by a step: a fret or two. */
    private static final int STEP = 2;

    /** A slide reaches so many frets. */
    private static final int LONGEST_SLIDE = 4;

    private Bonds() {}

    /** How the grip of a block is bound to that of a block of the next layer. */
    static Bond between(Block left, Block reached) {
        if (reached.held()) {
            return Bond.FREE;
        }
        return between(left.bond(), left.segment().reading(), reached.segment().reading());
    }

    /** The same for a chord of a reading and one that comes after it: a line ends with its reading. */
    static Bond between(Bond bond, ReadingId left, ReadingId reached) {
        return bond == Bond.ONE_VOICE && !left.equals(reached) ? Bond.FREE : bond;
    }

    /** Whether a grip leads to another as a bond wants it. */
    static boolean hold(Bond bond, ChordSymbol from, Grip left, ChordSymbol to, Grip reached) {
        return switch (bond) {
            case FREE -> true;
            case ONE_VOICE -> isOneVoice(left.shape(), reached.shape());
            case SLIDE -> isSlide(left, reached, slide(from, to));
        };
    }

    /** Frets a slide from one chord to another goes up; less than 0 where it goes down. */
    static int slide(ChordSymbol from, ChordSymbol to) {
        int up = Math.floorMod(to.root().pitchClass() - from.root().pitchClass(), 12);
        return up > LONGEST_SLIDE ? up - 12 : up;
    }

    private static boolean isOneVoice(Shape left, Shape reached) {
        int moved = 0;
        for (int string = 0; string < left.strings(); string++) {
            if (left.fret(string) != reached.fret(string)) {
                boolean isStep = !left.isSilent(string)
                        && !reached.isSilent(string)
                        && Math.abs(left.fret(string) - reached.fret(string)) <= STEP;
                if (!isStep) {
                    return false;
                }
                moved++;
            }
        }
        return moved <= 1;
    }

    private static boolean isSlide(Grip left, Grip reached, int by) {
        return Math.abs(by) <= LONGEST_SLIDE
                && left.shape().moved(by).filter(reached.shape()::equals).isPresent()
                && left.fingers().equals(reached.fingers());
    }

    /** Places among the layers of those whose grip leads to the next as it should not. */
    static Set<Integer> broken(List<Layer> layers, int[] nodes) {
        Set<Integer> broken = new LinkedHashSet<>();
        for (int layer = 0; layer + 1 < layers.size(); layer++) {
            Layer at = layers.get(layer);
            Layer next = layers.get(layer + 1);
            Block left = at.block(nodes[layer]);
            Block reached = next.block(nodes[layer + 1]);
            Bond bond = between(left, reached);
            boolean holds = bond == Bond.FREE
                    || hold(
                            bond,
                            left.segment().sounding(),
                            at.grip(nodes[layer]).grip(),
                            reached.segment().sounding(),
                            next.grip(nodes[layer + 1]).grip());
            if (!holds) {
                broken.add(layer);
            }
        }
        return broken;
    }
}
