/** A note as it is printed: `G♯4` for `G#4`, `B♭3` for `Bb3`. */
export function noteGlyphs(note: string): string {
  return note.replace('#', '♯').replace(/(?<=[A-G])b/, '♭');
}
