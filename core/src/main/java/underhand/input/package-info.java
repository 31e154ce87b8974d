/**
 * What is said of input that cannot be used. Both kinds are {@link IllegalArgumentException}s; any other one is a mistake of our
 * own, not of whoever sent something.
 */
package underhand.input;
