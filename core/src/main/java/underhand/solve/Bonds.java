package underhand.solve;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import underhand.chord.ChordSymbol;
import underhand.hand.Grip;
import underhand.harmony.Bond;
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
        boolean sameReading = left.segment().reading().equals(reached.segment().reading());
        return left.bond() == Bond.ONE_VOICE && !sameReading ? Bond.FREE : left.bond();
    }

    /** Whether a grip leads to another as a bond wants it. */
    static boolean hold(Bond bond, ChordSymbol from, Grip left, ChordSymbol to, Grip reached) {
        return switch (bond) {
            case FREE -> true;
            case ONE_VOICE -> isOneVoice(left.shape(), reached.shape());
            case SLIDE ->
                isSlide(
                        left,
                        reached,
                        Math.floorMod(to.root().pitchClass() - from.root().pitchClass(), 12));
        };
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

    private static boolean isSlide(Grip left, Grip reached, int semitones) {
        int by = semitones > LONGEST_SLIDE ? semitones - 12 : semitones;
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
