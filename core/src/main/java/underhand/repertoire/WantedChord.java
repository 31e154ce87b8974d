package underhand.repertoire;

import underhand.chord.ChordSymbol;
import underhand.harmony.Form;
import underhand.texture.TextureAsk;

/**
 * A chord in a form: what grips are searched for.
 *
 * @param picked whether it is picked string by string, not strummed
 * @param ask the texture it is to be of
 */
public record WantedChord(ChordSymbol chord, Form form, boolean picked, TextureAsk ask) {}
