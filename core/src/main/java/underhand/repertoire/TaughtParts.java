package underhand.repertoire;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import underhand.neck.Guitar;
import underhand.neck.Shape;
import underhand.neck.Tuning;

/** Which strings and frets stand together in shapes that are taught, wherever movable ones are played. */
public final class TaughtParts {

    private static final int STRINGS = Tuning.STANDARD.size();

    /** How far up movable shapes are looked for. */
    private static final int HIGHEST_FRET = 15;

    /** The shapes that have a string at a fret, by string and fret. */
    private static final BitSet[][] HAVING = new BitSet[STRINGS][Guitar.MOST_FRETS + 1];

    static {
        List<Shape> shapes = new ArrayList<>(Repertoire.open());
        for (Shape movable : Repertoire.movable()) {
            for (int by = 0; by + movable.highestFret() <= HIGHEST_FRET; by++) {
                movable.moved(by).ifPresent(shapes::add);
            }
        }
        for (int string = 0; string < STRINGS; string++) {
            for (int fret = 0; fret <= Guitar.MOST_FRETS; fret++) {
                HAVING[string][fret] = new BitSet(shapes.size());
                for (int i = 0; i < shapes.size(); i++) {
                    HAVING[string][fret].set(i, shapes.get(i).fret(string) == fret);
                }
            }
        }
    }

    private TaughtParts() {}

    /**
     * Whether all strings a shape sounds are so in a taught shape, which may sound more.
     *
     * @param but a string that does not count; -1 for none
     */
    public static boolean contain(Shape shape, int but) {
        if (shape.strings() != STRINGS) {
            return false;
        }
        BitSet left = null;
        for (int string = 0; string < STRINGS; string++) {
            if (!shape.isSilent(string) && string != but) {
                BitSet here = HAVING[string][shape.fret(string)];
                if (left == null) {
                    left = (BitSet) here.clone();
                } else {
                    left.and(here);
                }
            }
        }
        return left == null || !left.isEmpty();
    }
}
