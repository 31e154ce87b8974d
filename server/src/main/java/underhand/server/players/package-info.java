/** Who plays and on what: hands with their limits, guitars with their necks and tunings. */
package underhand.server.players;
