/** The songbook: charts as they were typed, and the decisions taken on them. */
package underhand.server.songs;
