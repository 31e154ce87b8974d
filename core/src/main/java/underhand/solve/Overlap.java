package underhand.solve;

/**
 * How much a second guitar lies on the first.
 *
 * @param sharedPlaces part of its notes that the first has on the same string and fret, 0 to 1
 * @param sharedPitches part of its notes that the first sounds at the same pitch, 0 to 1
 * @param registerSemitones how much higher its centre lies than the first one's, in semitones; negative where lower
 */
public record Overlap(double sharedPlaces, double sharedPitches, double registerSemitones) {}
