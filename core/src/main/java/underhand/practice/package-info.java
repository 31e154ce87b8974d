/**
 * Practice: the drills of a part's worst changes, when each is due again, what fits into the minutes there are, and what the log
 * says of a player's speed.
 *
 * <p>Dates are the player's own. May use all rooms up to {@code part}. Nothing is null.
 */
package underhand.practice;
