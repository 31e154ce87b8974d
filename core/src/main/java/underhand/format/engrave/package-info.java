/** Draws a part as rows of staff and tab, the same for page and paper: what stands where, in points, with fonts left to others. */
package underhand.format.engrave;
