import type { Decisions, Lock, ReadingChoice } from '../../../api/client';
import type { Work } from '../../../api/songSaver';

export interface BenchState {
  past: Work[];
  present: Work;
  future: Work[];
}

export type BenchAction =
  | { type: 'open'; state: BenchState }
  | { type: 'decide'; change: Partial<Decisions> }
  /** Frets are those of the part on the screen, with its capo. */
  | { type: 'lock'; locks: Lock[]; capo: number }
  | { type: 'unlock'; placement: number; part: number }
  /** Releases every grip that is locked at some places of the chart. */
  | { type: 'release'; placements: number[] }
  | { type: 'read'; choices: ReadingChoice[]; forget: { placement: number; reading: string }[] }
  | { type: 'write'; work: Work }
  | { type: 'undo' }
  | { type: 'redo' };

const MOST_STEPS = 200;

export function benchReducer(state: BenchState, action: BenchAction): BenchState {
  const { decisions, source } = state.present;
  switch (action.type) {
    case 'open':
      return action.state;
    case 'decide':
      return step(state, { source, decisions: decided(decisions, action.change) });
    case 'lock':
      return step(state, {
        source,
        decisions: {
          ...decisions,
          locks: [
            ...action.locks.reduce((kept, lock) => without(kept, lock), decisions.locks),
            ...action.locks.map((lock) => ({ ...lock, capo: action.capo, transpose: decisions.transpose })),
          ],
        },
      });
    case 'unlock':
      return step(state, {
        source,
        decisions: { ...decisions, locks: without(decisions.locks, action) },
      });
    case 'release': {
      const locks = decisions.locks.filter((lock) => !action.placements.includes(lock.placement ?? -1));
      return step(state, { source, decisions: { ...decisions, locks } });
    }
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

/** A lock that does not say which capo its frets count from would be another chord with another one, or in another key. */
function decided(decisions: Decisions, change: Partial<Decisions>): Decisions {
  const capoMoves = 'capo' in change && change.capo !== decisions.capo;
  const keyMoves = 'transpose' in change && change.transpose !== decisions.transpose;
  const rungMoves = 'rung' in change && change.rung !== decisions.rung;
  return {
    ...decisions,
    // What a rung of the ladder chose goes with it; what the player chose stays.
    ...(rungMoves ? { readings: decisions.readings.filter((choice) => choice.rung == null) } : {}),
    ...(capoMoves || keyMoves ? { locks: decisions.locks.filter((lock) => lock.capo != null) } : {}),
    ...change,
  };
}

function without(locks: Lock[], at: Pick<Lock, 'placement' | 'part'>): Lock[] {
  return locks.filter((lock) => lock.placement !== at.placement || (lock.part ?? 0) !== (at.part ?? 0));
}
