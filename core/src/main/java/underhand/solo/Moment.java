package underhand.solo;

import underhand.chart.Chart;
import underhand.solve.Segment;

/**
 * A stretch of time in which nothing new begins: a chord, a note of the tune or a strong beat is at its start.
 *
 * @param place number of its chord's place in the part
 * @param from beats from the start of the song
 * @param beat of its bar, from 1
 * @param beats until the next moment
 * @param tune what the tune does at its start
 * @param midi pitch of the tune; -1 where it rests
 * @param begins whether a chord begins here
 * @param strong whether a bass belongs here
 * @param plain whether it is a whole chord of a section without a tune, played as ever
 */
record Moment(
        int place,
        Chart.Slot slot,
        Segment segment,
        double from,
        double beat,
        double beats,
        Tune tune,
        int midi,
        boolean begins,
        boolean strong,
        boolean plain) {

    enum Tune {
        STRUCK,
        HELD,
        RESTS
    }

    double until() {
        return from + beats;
    }
}
