/** What this application is, and whose work ships in it. Stores nothing. */
package underhand.server.about;
