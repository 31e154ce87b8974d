/**
 * Work that somebody waits for, and may no longer want. Knows nothing of music; uses only the JDK. Nothing is null.
 */
package underhand.work;
