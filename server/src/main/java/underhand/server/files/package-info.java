/** Files that leave the house, and files that come in. */
package underhand.server.files;
