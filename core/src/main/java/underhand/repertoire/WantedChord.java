package underhand.repertoire;

import underhand.chord.ChordSymbol;
import underhand.harmony.Form;

/**
 * A chord in a form: what grips are searched for.
 *
 * @param picked whether it is picked string by string, not strummed
 */
public record WantedChord(ChordSymbol chord, Form form, boolean picked) {}
