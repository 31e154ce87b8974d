/** The whole book as one file of open formats: written, put back, kept every day. Knows features by their shelves only. */
package underhand.server.backup;
