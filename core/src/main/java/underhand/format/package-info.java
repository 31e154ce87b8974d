/**
 * Readers and writers: chart text in, part text out.
 *
 * <p>Every reader is total: any text gives a chart and a list of faults with line and column, or a typed error that
 * names the limit. May use every package; only the server uses it. Nothing is null.
 */
package underhand.format;
