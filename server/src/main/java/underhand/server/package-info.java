/** The application: REST, storage and the built front end, by feature. May use the core. Nothing is null unless said. */
package underhand.server;
