/** Charts turned into arrangements, and what the API says of them. */
package underhand.server.arrangements;
