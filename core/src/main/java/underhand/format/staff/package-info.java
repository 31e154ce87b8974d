/** What stands where on a staff: lines, accidentals, stems and beams, before anything is drawn. */
package underhand.format.staff;
