/**
 * A song in layers, and one capo position of it solved: the grips of every chord, the changes between them, the exact cheapest
 * route.
 *
 * <p>{@link underhand.solve.PartSolver} is the one entry; {@link underhand.solve.Song} is what it is given, and
 * {@link underhand.solve.SolvedPart} what it gives. What is said of a part is {@code arrange}'s. Nothing is null.
 */
package underhand.solve;
