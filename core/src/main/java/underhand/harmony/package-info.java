/**
 * Reading the harmony: the key of a chart, the degree and function of each chord in it, and what may stand in a chord's place:
 * simpler chords, richer ones, lines and turns, each with its reason, or why not.
 *
 * <p>{@link underhand.harmony.HarmonyReader} reads a chart, {@link underhand.harmony.RuleCatalogue} judges a placement. May use
 * {@code chart}, {@code chord} and {@code pitch}. Nothing is null.
 */
package underhand.harmony;
