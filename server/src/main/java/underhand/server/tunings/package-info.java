/** Tunings that players gave a name to. */
package underhand.server.tunings;
