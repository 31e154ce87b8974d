/**
 * The fretting hand: who plays, what a rung allows, every fingering of a shape and what it costs the hand.
 *
 * <p>Fingers are numbered 1 (index) to 4 (little finger); the thumb is {@link underhand.hand.Grip#THUMB}. Effort has one
 * unit: placing one finger at ease. Constants are in {@code effort-parameters.csv}. May use {@code neck} and what lies
 * under it. Nothing is null.
 */
package underhand.hand;
