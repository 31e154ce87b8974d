/** The drill book: what to practise today, what was run, and what the log says of a player's speed. */
package underhand.server.drills;
