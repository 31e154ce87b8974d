/**
 * Notes, pitches, intervals, keys and scales: the ground floor.
 *
 * <p>Conventions of the whole project: C4 is MIDI 60; pitch always means <em>sounding</em> pitch (a guitar is written
 * an octave higher than it sounds, and only the writers in {@code format} know about that); a {@link
 * underhand.pitch.Note} is a spelled name without octave, a {@link underhand.pitch.Pitch} a sounding height without
 * spelling.
 *
 * <p>Uses nothing but the JDK. No parameter and no result is null.
 */
package underhand.pitch;
