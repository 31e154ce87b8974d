/**
 * The right hand: patterns as data, their roles on a grip, the fingers that pluck them, and what they ask of a hand.
 *
 * <p>{@link underhand.picking.Patterns} is the catalogue, {@link underhand.picking.PatternRun} lays a pattern over a chord,
 * {@link underhand.picking.RightHand} gives the fingers.
 */
package underhand.picking;
