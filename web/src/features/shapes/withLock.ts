import type { Decisions } from '../../api/client';

/** The decisions of a song with a shape kept at one of its chords, in place of what was kept there. */
export function withLock(
  decisions: Decisions,
  at: { placement: number; part: number },
  frets: string,
  capo: number,
): Decisions {
  const others = decisions.locks.filter(
    (lock) => lock.placement !== at.placement || (lock.part ?? 0) !== at.part,
  );
  return {
    ...decisions,
    locks: [
      ...others,
      { placement: at.placement, part: at.part, frets, capo, transpose: decisions.transpose },
    ] as Decisions['locks'],
  };
}
