package underhand.server.arrangements;

/**
 * A second guitar's part.
 *
 * @param sharedPlaces part of its notes on a string and fret where the first guitar has one, 0 to 1
 * @param sharedPitches part of its notes at a pitch the first guitar sounds, 0 to 1
 * @param registerSemitones how much higher its centre lies than the first one's; negative where lower
 */
record SecondView(ArrangementView arrangement, double sharedPlaces, double sharedPitches, double registerSemitones) {}
