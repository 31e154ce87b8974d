import type { Arrangement } from '../api/client';

/** A key as it is typed: `F# minor` as `F#m`. */
export function typedKey(key: string): string {
  return key.replace('♯', '#').replace('♭', 'b').replace(' major', '').replace(' minor', 'm');
}

/** The neck map with the chords of a song, each once, in its order. */
export function mapLink(arrangement: Arrangement, song: number): string {
  const chords = arrangement.placements.flatMap((p) => (p.chord ? [p.chord] : []));
  const params = new URLSearchParams({
    chords: [...new Set(chords)].slice(0, 60).join(' '),
    key: typedKey(arrangement.key),
    tuning: arrangement.tuning,
    capo: String(arrangement.capo.chosen),
    song: String(song),
  });
  return `/map?${params.toString()}`;
}

/** The neck map with one chord. */
export function chordMap(chord: string, tuning: string, capo: number): string {
  return `/map?${new URLSearchParams({ chord, tuning, capo: String(capo) }).toString()}`;
}
