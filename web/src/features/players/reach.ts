import type { PairReach, Reach } from '../../api/client';

/** The fret whose distance from fret 1 comes nearest to a reach in mm. */
export function reachFret(reaches: Reach[], mm: number): number | undefined {
  const [first, ...others] = reaches;
  return others.reduce((best, r) => (best && Math.abs(r.mm - mm) < Math.abs(best.mm - mm) ? r : best), first)
    ?.fret;
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
