/**
 * The best way through a layered lattice, and the true price of every other way.
 *
 * <p>Knows layers, nodes and costs, nothing of music: uses only the JDK. Nothing is null.
 */
package underhand.route;
