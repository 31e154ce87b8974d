/**
 * Chart text: read as people type it, and written.
 *
 * <p>Reading goes in four steps: {@link underhand.format.text.SourceLine} (columns), {@link
 * underhand.format.text.LineReader} (what one line is when read alone), {@link underhand.format.text.LineSorter} (what it
 * is beside its neighbours, and how the chart spells), {@link underhand.format.text.ChartTextReader} (bars). What was not
 * understood, or could be read otherwise, is a {@link underhand.format.text.Fault} with the edits that mend it.
 */
package underhand.format.text;
