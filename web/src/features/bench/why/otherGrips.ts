import type { Alternative, Placement } from '../../../api/client';

/** A grip one step dearer or cheaper than the one held; null where the next step gives it back to the planner. */
export type Step = { kind: 'take'; frets: string } | { kind: 'release' } | null;

/** The next dearer grip; nothing when the one held is the dearest. */
export function dearer(alternatives: Alternative[]): Step {
  const next = alternatives.find((a) => a.price >= 0);
  return next ? { kind: 'take', frets: next.grip.shape } : null;
}

/** The next cheaper grip; the planner's own choice when only that is cheaper. */
export function cheaper(placement: Placement, alternatives: Alternative[]): Step {
  const below = alternatives.filter((a) => a.price < 0);
  if (below.length > 1) {
    return { kind: 'take', frets: below[below.length - 1]?.grip.shape ?? '' };
  }
  return placement.locked ? { kind: 'release' } : null;
}
