/**
 * The map of a neck: where the notes of chords and scales lie, the five forms, triads, barres, scales in one position with their
 * fingers, and which scale serves over which chord.
 *
 * <p>Strings count from the lowest as 0, frets from the capo. May use all rooms up to {@code repertoire}. Nothing is null.
 */
package underhand.neckmap;
