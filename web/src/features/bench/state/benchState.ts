import type { Decisions, Lock, ReadingChoice } from '../../../api/client';

/** What is on the bench: the chart's text and what has been decided. */
export interface Work {
  source: string;
  decisions: Decisions;
}

export interface BenchState {
  past: Work[];
  present: Work;
  future: Work[];
}

export type BenchAction =
  | { type: 'open'; work: Work }
  | { type: 'decide'; change: Partial<Decisions> }
  | { type: 'lock'; locks: Lock[] }
  | { type: 'unlock'; placement: number; part: number }
  | { type: 'read'; choices: ReadingChoice[]; forget: { placement: number; reading: string }[] }
  | { type: 'write'; work: Work }
  | { type: 'undo' }
  | { type: 'redo' };

const MOST_STEPS = 200;

export function benchReducer(state: BenchState, action: BenchAction): BenchState {
  const { decisions, source } = state.present;
  switch (action.type) {
    case 'open':
      return { past: [], present: action.work, future: [] };
    case 'decide':
      return step(state, { source, decisions: decided(decisions, action.change) });
    case 'lock':
      return step(state, {
        source,
        decisions: {
          ...decisions,
          locks: [
            ...action.locks.reduce((kept, lock) => without(kept, lock), decisions.locks),
            ...action.locks,
          ],
        },
      });
    case 'unlock':
      return step(state, {
        source,
        decisions: { ...decisions, locks: without(decisions.locks, action) },
      });
    case 'read':
      return step(state, {
        source,
        decisions: {
          ...decisions,
          readings: [
            ...decisions.readings.filter(
              (r) => !action.forget.some((f) => f.placement === r.placement && f.reading === r.reading),
            ),
            ...action.choices,
          ],
        },
      });
    case 'write':
      return step(state, action.work);
    case 'undo': {
      const before = state.past.at(-1);
      return before
        ? { past: state.past.slice(0, -1), present: before, future: [state.present, ...state.future] }
        : state;
    }
    case 'redo': {
      const [after, ...rest] = state.future;
      return after ? { past: [...state.past, state.present], present: after, future: rest } : state;
    }
  }
}

function step(state: BenchState, work: Work): BenchState {
  return { past: [...state.past, state.present].slice(-MOST_STEPS), present: work, future: [] };
}

/** A lock counts its frets from the capo: with another capo or in another key it would be another chord, so it falls. */
function decided(decisions: Decisions, change: Partial<Decisions>): Decisions {
  const capoMoves = 'capo' in change && change.capo !== decisions.capo;
  const keyMoves = 'transpose' in change && change.transpose !== decisions.transpose;
  return { ...decisions, ...(capoMoves || keyMoves ? { locks: [] } : {}), ...change };
}

function without(locks: Lock[], at: Pick<Lock, 'placement' | 'part'>): Lock[] {
  return locks.filter((lock) => lock.placement !== at.placement || (lock.part ?? 0) !== (at.part ?? 0));
}
