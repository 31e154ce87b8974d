import type { Work } from '../../../api/songSaver';
import { readKept, writeKept } from '../../../api/kept';
import type { BenchState } from './benchState';

const KEY = 'underhand.history.';

/** Longest history of a song that is kept, in characters; the oldest steps are forgotten first. */
const MOST_KEPT = 400_000;

/** Songs whose histories are kept; the one looked at longest ago is forgotten first. */
const MOST_SONGS = 20;

/** The steps of a song as they are kept: texts once, however many steps share them. */
interface Kept {
  at: number;
  sources: string[];
  past: Step[];
  present: Step;
  future: Step[];
}

interface Step {
  source: number;
  decisions: Work['decisions'];
}

/**
 * Keeps the steps of a song, to be undone in another view, after a reload or another day.
 *
 * @param uid the song's name in all books
 */
export function keepHistory(uid: string, state: BenchState) {
  let kept = written(state);
  while (JSON.stringify(kept).length > MOST_KEPT && kept.past.length > 0) {
    kept = written({ ...state, past: state.past.slice(-Math.floor(kept.past.length / 2)) });
  }
  writeKept(KEY + uid, kept);
  forgetOldest();
}

/**
 * The steps of a song that goes on from some work. What was done to it elsewhere, by another view or tab, is one more step.
 */
export function historyOf(uid: string, work: Work): BenchState {
  const kept = read(uid);
  if (!kept) {
    return { past: [], present: work, future: [] };
  }
  return same(kept.present, work) ? kept : { past: [...kept.past, kept.present], present: work, future: [] };
}

function same(a: Work, b: Work): boolean {
  return a.source === b.source && JSON.stringify(a.decisions) === JSON.stringify(b.decisions);
}

function written({ past, present, future }: BenchState): Kept {
  const sources: string[] = [];
  const step = ({ source, decisions }: Work): Step => {
    const known = sources.indexOf(source);
    return { source: known >= 0 ? known : sources.push(source) - 1, decisions };
  };
  return {
    at: Date.now(),
    past: past.map(step),
    present: step(present),
    future: future.map(step),
    sources,
  };
}

function read(uid: string): BenchState | null {
  const kept = readKept<Kept>(KEY + uid);
  const work = ({ source, decisions }: Step): Work => ({ source: kept?.sources[source] ?? '', decisions });
  return kept && { past: kept.past.map(work), present: work(kept.present), future: kept.future.map(work) };
}

function forgetOldest() {
  const keys = Object.keys(localStorage).filter((key) => key.startsWith(KEY));
  if (keys.length > MOST_SONGS) {
    const at = (key: string) => readKept<Kept>(key)?.at ?? 0;
    const oldest = keys.reduce((a, b) => (at(a) <= at(b) ? a : b));
    writeKept(oldest, null);
  }
}
