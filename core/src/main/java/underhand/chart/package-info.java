/**
 * A song's chart: sections of bars, chords on beats, the words under them.
 *
 * <p>Bars count from 1 through the whole song, beats from 1 within a bar; lengths are in beats of the metre. A chart
 * always stands unrolled: repeats are written out. May use {@code pitch} and {@code chord}. Nothing is null.
 */
package underhand.chart;
