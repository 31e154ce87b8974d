/**
 * What is asked of an arrangement: rung, setting, capo, house rules, locks and readings chosen.
 *
 * <p>{@link underhand.settings.ArrangementSettings} is the one entry; all of it is immutable. Nothing is null.
 */
package underhand.settings;
