import type { Result } from '../run';
import type { Heard, Stroke } from './ear';

/** How a change went. */
export type Verdict = Exclude<Result, 'discomfort'>;

/** A change as it was heard. */
export interface HeardChange {
  /** Seconds from the start of what was heard at which the new chord should have sounded. */
  due: number;
  verdict: Verdict;
  /** Seconds by which it was late; null where it did not sound. */
  late: number | null;
  /** Seconds from leaving the old chord to the new one's sound; null where that was not heard. */
  seconds: number | null;
}

/** What is proposed for the log. */
export interface Proposal {
  result: Verdict;
  /** Seconds of a change: of those that were late, for a hand that waits for the beat takes longer than it needs. */
  seconds: number | null;
  changes: HeardChange[];
}

const BEATS_A_BAR = 4;

/** Parts of a beat by which a change may be late: a little is clean, half a beat is rough. */
const CLEAN = 0.2;
const ROUGH = 0.55;

/** A stroke this much of a beat early belongs to the beat. */
const EARLY = 0.2;

/** The hand did not wait where it was late by more seconds. */
const WAITED = 0.05;

/** Shares of changes from which a run as a whole is clean, and is not missed. */
const MOSTLY_CLEAN = 0.8;
const NOT_MISSED = 0.7;

/** What a change is that is late by so many seconds. */
export function judged(late: number, beat: number): Verdict {
  return late <= CLEAN * beat ? 'clean' : late <= ROUGH * beat ? 'rough' : 'missed';
}

/** What was heard of a loop of two chords, a bar each, with a stroke on every beat; null where that cannot be told. */
export function verdict(heard: Heard, tempo: number): Proposal | null {
  const beat = 60 / tempo;
  const { strokes } = heard;
  if (strokes.length < 2 * BEATS_A_BAR) {
    return null;
  }
  const phase = phaseOf(strokes, beat);
  const first = Math.round(((strokes[0]?.at ?? 0) - phase) / beat);
  const last = Math.round(((strokes.at(-1)?.at ?? 0) - phase) / beat);
  const bar = barOf(strokes, phase, beat);
  const changes: HeardChange[] = [];
  for (let at = first + 1; at <= last; at++) {
    if ((at - bar) % BEATS_A_BAR === 0) {
      const change = changeAt(heard, phase + at * beat, beat);
      if (change) {
        changes.push(change);
      }
    }
  }
  return changes.length === 0 ? null : proposal(changes);
}

/** Where the beats lie: the middle of all strokes within a beat, those that lie late left out the second time. */
function phaseOf(strokes: Stroke[], beat: number): number {
  const middle = (some: Stroke[]) => {
    const angles = some.map((s) => (2 * Math.PI * s.at) / beat);
    const x = angles.reduce((sum, a) => sum + Math.cos(a), 0);
    const y = angles.reduce((sum, a) => sum + Math.sin(a), 0);
    return (Math.atan2(y, x) / (2 * Math.PI)) * beat;
  };
  let phase = middle(strokes);
  for (let round = 0; round < 4; round++) {
    const near = strokes.filter((s) => Math.abs(off(s.at, phase, beat)) < 0.12 * beat);
    phase = near.length >= strokes.length / 3 ? middle(near) : phase;
  }
  return phase;
}

/** How far a time lies from the nearest beat. */
function off(at: number, phase: number, beat: number): number {
  const beats = (at - phase) / beat;
  return (beats - Math.round(beats)) * beat;
}

/** Which of four beats begins a bar: the one on or after which the chord changes most often. */
function barOf(strokes: Stroke[], phase: number, beat: number): number {
  const votes = [0, 0, 0, 0];
  strokes.forEach((stroke, i) => {
    const before = strokes[i - 1];
    if (before && before.chord !== stroke.chord) {
      const on = Math.floor((stroke.at - phase) / beat + EARLY);
      const place = ((on % BEATS_A_BAR) + BEATS_A_BAR) % BEATS_A_BAR;
      votes[place] = (votes[place] ?? 0) + 1;
    }
  });
  return votes.indexOf(Math.max(...votes));
}

function changeAt(heard: Heard, due: number, beat: number): HeardChange | null {
  const before = heard.strokes.filter((s) => s.at < due - EARLY * beat).at(-1);
  if (!before) {
    return null;
  }
  const within = heard.strokes.filter((s) => s.at > before.at && s.at < due + (BEATS_A_BAR - EARLY) * beat);
  const stroke = within.find((s) => s.chord !== before.chord);
  const late = stroke ? Math.max(0, stroke.at - due) : null;
  const left = stroke ? heard.leftBefore(before.at, stroke.at) : null;
  return {
    due,
    late,
    verdict: late === null ? 'missed' : judged(late, beat),
    seconds: stroke && left !== null ? stroke.at - left : null,
  };
}

function proposal(changes: HeardChange[]): Proposal {
  const share = (which: Verdict) => changes.filter((c) => c.verdict === which).length / changes.length;
  const result =
    share('clean') >= MOSTLY_CLEAN && share('missed') === 0
      ? 'clean'
      : share('missed') > 1 - NOT_MISSED
        ? 'missed'
        : 'rough';
  const busy = changes
    .filter((c) => (c.late ?? 0) > WAITED)
    .flatMap((c) => (c.seconds === null ? [] : [c.seconds]))
    .sort((a, b) => a - b);
  const median = busy[Math.floor(busy.length / 2)];
  return { result, seconds: median === undefined ? null : Math.round(median * 100) / 100, changes };
}
