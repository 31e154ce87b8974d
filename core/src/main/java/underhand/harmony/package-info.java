/**
 * Reading the harmony: the key of a chart and the degree of each chord in it.
 *
 * <p>May use {@code chart}, {@code chord} and {@code pitch}. Nothing is null.
 */
package underhand.harmony;
