/** Chord symbols, shapes and grips by themselves, without a song. */
package underhand.server.shapes;
