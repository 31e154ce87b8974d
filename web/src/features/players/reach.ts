import type { PairReach } from '../../api/client';

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

/** Pairs of fingers that can be measured by themselves; 1-4 is measured on the neck. */
export const PAIRS = ['1-2', '2-3', '3-4', '1-3', '2-4'] as const;

/** A hand reaches about this much further than it does at ease. */
const AT_MOST = 1.35;

/** A pair with another reach at ease; what it reaches at most is never less. */
export function withComfortable(fingers: string, pair: PairReach | undefined, mm: number): PairReach {
  return { fingers, comfortableMm: mm, widestMm: pair ? Math.max(mm, pair.widestMm) : mm * AT_MOST };
}

/** A pair with another widest reach; what it reaches at ease is never more. */
export function withWidest(fingers: string, pair: PairReach | undefined, mm: number): PairReach {
  return { fingers, widestMm: mm, comfortableMm: pair ? Math.min(mm, pair.comfortableMm) : mm / AT_MOST };
}
