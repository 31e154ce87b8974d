/**
 * What may happen in the gaps: fills proposed where there is room, each with its notes, its fingers, its reason and the time
 * the hand has for it. {@link underhand.fill.Fills} is the entry.
 */
package underhand.fill;
