/**
 * Readers and writers, a room for each kind: chart text as people type it, scores of other programs, staff notation.
 *
 * <p>Every reader is total: any text gives a chart and what was not understood, with line and column, or a typed error that
 * names the limit. May use every package; only the server uses it. Nothing is null.
 */
package underhand.format;
