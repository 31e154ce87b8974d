package underhand.repertoire;

import java.util.List;
import underhand.chord.ChordSymbol;
import underhand.hand.Effort;
import underhand.hand.Grip;
import underhand.neck.Fretboard;
import underhand.texture.Structure;

/**
 * A grip for a chord with what it costs in a setting.
 *
 * @param rung level the grip needs; above the player's own when no grip within it was found
 * @param isNew whether the player does not have the shape yet
 */
public record RatedGrip(Grip grip, Effort effort, int rung, boolean isNew) {

    /**
     * Families the shape belongs to: open, barre, shell, guide tones, drop 2, drop 3, triad, tenth, power, rootless,
     * quartal; and, where a retuned string moved one finger of a taught shape, {@code carried from 320003}.
     */
    public List<String> tags(ChordSymbol chord, Fretboard board) {
        return GripTags.of(grip, chord, board);
    }

    /** How it is built: the families it belongs to, its form, which note is lowest. */
    public Structure structure(ChordSymbol chord, Fretboard board) {
        return new Structure(grip.shape(), chord, board, true);
    }
}
