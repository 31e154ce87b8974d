package underhand.neckmap;

import underhand.neckmap.Tones.Tone;

/**
 * A note at its place on the neck.
 *
 * @param string from the lowest as 0
 * @param fret from the capo, 0 for the open string
 * @param midi sounding pitch
 * @param isRoot whether it is the root
 */
public record Dot(int string, int fret, int midi, Tone tone, boolean isRoot) {}
