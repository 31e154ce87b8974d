/**
 * The tune on top of its chords on one guitar: moments, what must sound at each, the grips that can, the exact cheapest way
 * through them, and every note of it.
 *
 * <p>{@link underhand.solo.SoloSolver} is the one entry. Time is in beats from the start of the song, strings count from the
 * lowest as 0, frets from the capo. Nothing is null.
 */
package underhand.solo;
