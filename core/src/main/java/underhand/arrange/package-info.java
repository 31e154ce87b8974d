/**
 * From a chart and settings to an arrangement: which capo, which grips, which changes, and why.
 *
 * <p>{@link underhand.arrange.Arranger#arrange} is the one entry. The same inputs give the same arrangement on any
 * machine and thread count. May use every package but {@code format}. Nothing is null.
 */
package underhand.arrange;
