/**
 * Writers and readers of what other programs play and print: MusicXML and its compressed form, Standard MIDI Files, tab as
 * text, and drawings as SVG.
 */
package underhand.format.score;
