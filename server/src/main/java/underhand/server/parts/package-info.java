/** Parts note by note: what the right hand does, what fills the gaps, how it is written. */
package underhand.server.parts;
