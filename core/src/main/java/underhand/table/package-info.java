/**
 * Reads the knowledge tables that ship as resources: one row per line, columns separated by commas, {@code #} and a space start a
 * comment line. A bad row stops the loading and is named with file, line, text and reason.
 *
 * <p>Lies under every other package and uses none. Nothing is null.
 */
package underhand.table;
