package underhand.solo;

/**
 * A note of the tune, whole: what a bar line or a change of chord cut in two is one.
 *
 * @param from beats from the start of the song
 * @param beats how long it lasts
 * @param midi MIDI number of its pitch as the guitar is to play it
 */
record Sung(double from, double beats, int midi) {

    double until() {
        return from + beats;
    }
}
