/** Scale length the reach is tried on when no other guitar is named, in mm. */
const SCALE_MM = 648;
const BEHIND_FRET = 0.3;

/** Frets a little finger can be asked to reach with the index finger at fret 1. */
export const REACHABLE = [3, 4, 5, 6, 7, 8] as const;

function pressMm(fret: number): number {
  const line = (n: number) => SCALE_MM * (1 - 2 ** (-n / 12));
  return line(fret) - BEHIND_FRET * (line(fret) - line(fret - 1));
}

/** Distance between fingers at fret 1 and at another fret, in mm to the nearest whole. */
export function reachMm(fret: number): number {
  return Math.round(pressMm(fret) - pressMm(1));
}

/** The fret whose distance from fret 1 comes nearest to a reach in mm. */
export function reachFret(mm: number): number {
  return REACHABLE.reduce((best, fret) =>
    Math.abs(reachMm(fret) - mm) < Math.abs(reachMm(best) - mm) ? fret : best,
  );
}
