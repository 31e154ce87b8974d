/** What every feature stands on: problem details, security headers, request limits, the pages of the front end. */
package underhand.server.platform;
