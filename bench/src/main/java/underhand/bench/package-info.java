/** How fast the planner is, measured with JMH; {@code ./underhand bench} prints the table of docs/performance.md. */
package underhand.bench;
