package underhand.repertoire;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import underhand.neck.Guitar;
import underhand.neck.Shape;
import underhand.neck.Tuning;

/** Which strings and frets stand together in shapes that are taught in a tuning, wherever movable ones are played. */
public final class TaughtParts {

    /** How far up movable shapes are looked for. */
    private static final int HIGHEST_FRET = 15;

    /** The shapes that have a string at a fret, by string and fret. */
    private final BitSet[][] having;

    public TaughtParts(Tuning tuning) {
        Repertoire repertoire = Repertoire.of(tuning);
        List<Shape> shapes = new ArrayList<>(repertoire.open());
        for (Shape movable : repertoire.movable()) {
            for (int by = 0; by + movable.highestFret() <= HIGHEST_FRET; by++) {
                movable.moved(by).ifPresent(shapes::add);
            }
        }
        having = new BitSet[tuning.size()][Guitar.MOST_FRETS + 1];
        for (int string = 0; string < having.length; string++) {
            for (int fret = 0; fret <= Guitar.MOST_FRETS; fret++) {
                having[string][fret] = new BitSet(shapes.size());
                for (int i = 0; i < shapes.size(); i++) {
                    having[string][fret].set(i, shapes.get(i).fret(string) == fret);
                }
            }
        }
    }

    /**
     * Whether all strings a shape sounds are so in a taught shape, which may sound more.
     *
     * @param shape as many strings as the tuning
     * @param but a string that does not count; -1 for none
     */
    public boolean contain(Shape shape, int but) {
        BitSet left = null;
        for (int string = 0; string < having.length; string++) {
            if (!shape.isSilent(string) && string != but) {
                BitSet here = having[string][shape.fret(string)];
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
