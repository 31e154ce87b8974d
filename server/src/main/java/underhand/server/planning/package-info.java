/** Who may plan when: work that takes turns, goes on only while somebody waits for it, and never keeps small work waiting. */
package underhand.server.planning;
