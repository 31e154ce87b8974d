/**
 * The grips a hand may take for a chord in a setting, each with its effort, and what the changes between them cost.
 *
 * <p>{@link underhand.repertoire.GripFinder} finds the grips of one chord; {@link underhand.repertoire.KnownGrips} keeps
 * what one hand was priced with. Knows settings, not songs. Nothing is null.
 */
package underhand.repertoire;
