/**
 * What is said of the parts of a song: which capo, which readings, which rung, what a second guitar plays, and why.
 *
 * <p>{@link underhand.arrange.Arranger#arrange} is the one entry; {@code solve} solves each capo position. The same inputs give
 * the same arrangement on any machine and thread count. Nothing is null.
 */
package underhand.arrange;
