/**
 * From one grip to the next: what each finger does, how far it goes, what that costs and how long it takes.
 *
 * <p>Distances are millimetres on the real neck, times seconds. May use {@code hand} and what lies under it. Nothing is
 * null.
 */
package underhand.move;
