/**
 * A part note by note: the grips of an arrangement struck by the right hand, with its fills.
 *
 * <p>{@link underhand.part.PartWriter} makes one, {@link underhand.part.Notation} says how its bars are written.
 */
package underhand.part;
