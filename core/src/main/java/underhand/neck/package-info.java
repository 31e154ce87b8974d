/**
 * The neck: tunings, guitars, distances in millimetres, and every shape a chord has on it.
 *
 * <p>Conventions: arrays run from the lowest string (index 0) to the highest; players count the other way, so the
 * highest-sounding string is string 1 in words shown to them. Fret 0 is the open string, and frets count from the capo;
 * distances are real ones, measured from the nut along the neck. May use {@code pitch}, {@code chord} and {@code
 * table}. Nothing is null.
 */
package underhand.neck;
