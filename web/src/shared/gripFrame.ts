import type { Grip } from '../api/client';

export interface Frame {
  strings: number;
  /** Fret whose space is drawn first. */
  firstFret: number;
  rows: number;
  stops: { string: number; fret: number; finger: string }[];
}

const FEWEST_ROWS = 4;

/** Which frets a chord frame shows and where its dots are; from the nut or capo where the shape allows it. */
export function frameOf(grip: Pick<Grip, 'frets' | 'fingers'>): Frame {
  const stops = grip.frets.flatMap((fret, string) =>
    fret === null || fret === 0 ? [] : [{ string, fret, finger: grip.fingers[string] ?? '' }],
  );
  const frets = stops.map((s) => s.fret);
  const highest = Math.max(0, ...frets);
  const firstFret = highest <= FEWEST_ROWS ? 1 : Math.min(...frets);
  return {
    strings: grip.frets.length,
    firstFret,
    rows: Math.max(FEWEST_ROWS, highest - firstFret + 1),
    stops,
  };
}
