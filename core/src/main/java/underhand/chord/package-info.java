/**
 * Chord symbols and what they mean: reading a symbol into its spelled tones, and naming a set of sounding notes.
 *
 * <p>Knowledge is in two tables: {@code suffix-tokens.csv} (the pieces symbols are written with) and
 * {@code chord-types.csv} (the types with a name of their own). May use {@code pitch} and {@code table}. Nothing is
 * null.
 */
package underhand.chord;
