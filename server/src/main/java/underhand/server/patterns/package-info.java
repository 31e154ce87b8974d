/** Patterns of the right hand that players wrote themselves. */
package underhand.server.patterns;
