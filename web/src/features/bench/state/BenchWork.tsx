import { createContext, useContext } from 'react';
import type { Arrangement, Decisions, Placement, PreviewBody } from '../../../api/client';
import type { BenchDispatch } from './useBench';

/** What is on the bench, and what may be done to it: what its rooms share. */
export interface Work {
  decisions: Decisions;
  /** What is asked for now; undefined until it is known who plays. */
  body: PreviewBody | undefined;
  /** The last body whose arrangement is complete. */
  arranged: PreviewBody | undefined;
  /** On the screen; the one before while the next is made, undefined before the first. */
  arrangement: Arrangement | undefined;
  /** Place that is looked at; null for the whole song. */
  place: number | null;
  choose: (place: number | null) => void;
  decide: (change: Partial<Decisions>) => void;
  dispatch: BenchDispatch;
}

export const BenchWork = createContext<Work | null>(null);

export function useWork(): Work {
  const work = useContext(BenchWork);
  if (!work) {
    throw new Error('A room of the bench stands outside it.');
  }
  return work;
}

/** The arrangement, in rooms that are shown only when there is one. */
export function useArranged(): Arrangement {
  const { arrangement } = useWork();
  if (!arrangement) {
    throw new Error('Nothing is arranged yet.');
  }
  return arrangement;
}

/** The placement that is looked at. */
export function usePlacement(): Placement | undefined {
  const { arrangement, place } = useWork();
  return place === null ? undefined : arrangement?.placements[place];
}
