/** Rows of staff and tab for the page, and the faces they are set in on page and paper. */
package underhand.server.engraving;
