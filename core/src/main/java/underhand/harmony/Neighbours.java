package underhand.harmony;

import java.util.Optional;
import underhand.chord.ChordSymbol;

/**
 * The chords around one.
 *
 * @param before played before it, if any
 * @param after played after it, if any
 * @param goal the next one on another root; after the last chord the song begins its last section again
 */
public record Neighbours(Optional<ChordSymbol> before, Optional<ChordSymbol> after, Optional<ChordSymbol> goal) {}
