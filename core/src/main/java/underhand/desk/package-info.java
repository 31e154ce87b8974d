/**
 * A guitar in the hand and no chart: what a shape is, how it is held, what lies a finger away, where else it is on the neck, and
 * the least way from it to a chord.
 *
 * <p>Strings count from the lowest as 0, frets from the capo. May use all rooms up to {@code repertoire}. Nothing is null.
 */
package underhand.desk;
