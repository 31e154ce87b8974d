/**
 * Chords for a tune that has none: its key from its notes, and for every bar the chords that would stand well under it, each
 * with its reason. They are proposals: nothing is taken until a player takes it.
 */
package underhand.accompany;
