package underhand.texture;

import java.util.List;
import java.util.Set;
import underhand.chord.ChordSymbol;
import underhand.input.RangeException;
import underhand.neck.Fretboard;
import underhand.neck.Shape;

/**
 * A texture and what is wished besides: what a grip at some place has to be.
 *
 * @param ofAnyKind whether grips of other kinds stand for those of the texture, as where a line cannot be held in its own
 */
public record TextureAsk(Texture texture, Wishes wishes, boolean ofAnyKind) {

    /** Any grip at all. */
    public static final TextureAsk FREE = new TextureAsk(Texture.FREE, Wishes.NONE);

    public TextureAsk(Texture texture, Wishes wishes) {
        this(texture, wishes, false);
    }

    /** @throws RangeException when the wishes leave no string set of the texture */
    public TextureAsk {
        if (!wishes.strings().isEmpty()) {
            int needed = texture.fewestStrings();
            if (wishes.strings().length() < needed) {
                throw new RangeException(
                        "wishes.strings",
                        "\"" + wishes.strings() + "\" are too few strings for the texture " + texture.title()
                                + ", which sounds on " + needed + " at least");
            }
        }
        if (texture.isClosed() && wishes.toFret() < 1) {
            throw new RangeException("wishes.toFret", "a texture without open strings needs a fret to press");
        }
    }

    /** Whether any grip will do, so that nothing has to be looked at. */
    public boolean isFree() {
        return equals(FREE);
    }

    /** How often there is another try where a chord has no grip of what is asked first; the last try takes any grip. */
    public int tries(boolean bassElsewhere) {
        return isFree() ? 1 : Math.max(1, texture.tiers(bassElsewhere).size()) + 1;
    }

    /** The families of a try; none for any grip. */
    public Set<Family> families(int attempt, boolean bassElsewhere) {
        List<Set<Family>> tiers = texture.tiers(bassElsewhere);
        return attempt < tiers.size() ? tiers.get(attempt) : Set.of();
    }

    /** Whether a shape is what a try takes. */
    public boolean takes(int attempt, Shape shape, ChordSymbol chord, Fretboard board, boolean bassElsewhere) {
        if (attempt >= tries(bassElsewhere) - 1) {
            return true;
        }
        // Who asks for led voices leaves the bass to somebody.
        Structure structure = new Structure(shape, chord, board, bassElsewhere || texture.led());
        Set<Family> families = families(attempt, bassElsewhere);
        return texture.allowsOpen(shape)
                && isOnItsStrings(shape)
                && wishes.hold(shape, structure)
                && (families.isEmpty() || families.stream().anyMatch(structure::isOf));
    }

    /** Whether anything is wished of every grip, whatever the texture. */
    public boolean hasWishes() {
        return !wishes.equals(Wishes.NONE);
    }

    /** Whether a shape keeps the wishes, of the texture or not. */
    public boolean isWished(Shape shape, ChordSymbol chord, Fretboard board) {
        return wishes.hold(shape, new Structure(shape, chord, board, true));
    }

    /** Whether a shape is of the texture, in any of its families, and keeps the wishes. */
    public boolean holds(Shape shape, ChordSymbol chord, Fretboard board, boolean bassElsewhere) {
        for (int attempt = 0; attempt < tries(bassElsewhere) - 1; attempt++) {
            if (takes(attempt, shape, chord, board, bassElsewhere)) {
                return true;
            }
        }
        return isFree();
    }

    /** The wish for strings stands in the place of the texture's own sets. */
    private boolean isOnItsStrings(Shape shape) {
        if (texture.strings().isEmpty() || !wishes.strings().isEmpty()) {
            return true;
        }
        boolean isLowest = !shape.isSilent(0) && shape.highestSounding() == shape.sounding() - 1;
        return texture.strings().contains(shape.stringNumbers())
                || isLowest && texture.strings().contains(Texture.LOWEST + shape.sounding());
    }

    /** Why a chord has no grip of it, in words. */
    public String missing(String chord) {
        return chord + " has no grip " + kind()
                + " that this hand can hold here; the easiest of any kind stands for it.";
    }

    /** Why a line, or a grip that slides, is not of it, in words. */
    public String missingTogether() {
        return "What moves by itself here cannot be held in grips " + kind() + "; it is played in others.";
    }

    private String kind() {
        return texture.isFree() ? "as you wish it" : "of the kind \"" + texture.title() + "\"";
    }

    /** The same with grips of any kind. */
    public TextureAsk inAnyKind() {
        return new TextureAsk(texture, wishes, true);
    }

    /** How its voices are to move. */
    public Motion motion() {
        return new Motion(texture.led(), wishes.top());
    }
}
