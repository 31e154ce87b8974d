import { expect, test } from 'vitest';
import type { PlannedDrill } from '../../../api/client';
import { hear } from './ear';
import { loopOf } from './loop';
import { simulatedHand, type Loop, type Sounding } from './simulatedHand';
import { judged, verdict } from './verdict';
import { wav } from './wav';

const RATE = 44100;
const STANDARD = [40, 45, 50, 55, 59, 64];

function grip(frets: string): Sounding[] {
  return [...frets].flatMap((fret, string) =>
    fret === 'x' ? [] : [{ midi: (STANDARD[string] ?? 0) + Number(fret), isOpen: fret === '0' }],
  );
}

const LOOPS: [string, string, number, number][] = [
  ['x32010', 'x02210', 72, 0.7],
  ['320003', 'x32010', 88, 0.55],
  ['133211', 'xx0232', 66, 0.95],
  ['022100', 'x24432', 80, 0.8],
  ['x02010', 'xx0212', 100, 0.45],
  ['xx3211', 'x13331', 60, 1],
];
const SEEDS = 4;

/** Seconds that a hundred bars of sound may take on a slow machine. */
const PATIENCE_MS = 240_000;

/** Every loop played by some hands, and what was heard of each change beside what was played. */
function pairs() {
  return LOOPS.flatMap(([from, to, tempo, seconds]) =>
    Array.from({ length: SEEDS }, (_, seed) => {
      const loop: Loop = { from: grip(from), to: grip(to), tempo };
      const manner = {
        bars: 12,
        seconds,
        noise: 0.1 + 0.05 * seed,
        seed: 11 * seed + tempo,
        sampleRate: RATE,
      };
      const played = simulatedHand(loop, manner);
      const heard = verdict(hear(played.samples, RATE, loop), tempo);
      return { played: played.changes, heard: heard?.changes ?? [] };
    }),
  );
}

test(
  'times of changes and verdicts are those of the hand that played',
  () => {
    const errors: number[] = [];
    const wrong: string[] = [];
    let all = 0;
    for (const { played, heard } of pairs()) {
      for (const change of played) {
        all++;
        const same = heard.find((h) => change.sounded - h.due > -0.1 && change.sounded - h.due < 1.2);
        if (same?.verdict !== change.verdict) {
          wrong.push(`${change.verdict} heard as ${same?.verdict ?? 'nothing'}`);
        } else if (change.verdict !== 'missed' && same.seconds !== null) {
          errors.push(Math.abs(same.seconds - (change.sounded - change.left)));
        }
      }
    }
    errors.sort((a, b) => a - b);
    const p90 = errors[Math.floor(0.9 * errors.length)] ?? Infinity;
    console.log(
      `${all} changes: time of ${errors.length} heard, error ${(1000 * p90).toFixed(0)} ms at the 90th percentile; ` +
        `${wrong.length} verdicts wrong`,
    );
    expect(errors.length).toBeGreaterThan(0.75 * all);
    expect(p90).toBeLessThan(0.04);
    expect(wrong.length / all, wrong.join(', ')).toBeLessThan(0.05);
  },
  PATIENCE_MS,
);

test('the same seed sounds the same, another one does not', () => {
  const loop: Loop = { from: grip('x32010'), to: grip('x02210'), tempo: 120 };
  const manner = { bars: 2, seconds: 0.4, noise: 0.1, seed: 1, sampleRate: RATE };
  const first = simulatedHand(loop, manner).samples;
  expect(simulatedHand(loop, manner).samples).toEqual(first);
  expect(simulatedHand(loop, { ...manner, seed: 2 }).samples).not.toEqual(first);
});

test.each([
  ['silence', () => 0],
  ['noise', () => 2 * Math.random() - 1],
  ['a hum', (i: number) => 0.3 * Math.sin((2 * Math.PI * 50 * i) / RATE)],
])('%s is no loop of two chords', (_, sample) => {
  const loop: Loop = { from: grip('x32010'), to: grip('x02210'), tempo: 80 };
  const samples = Float32Array.from({ length: 12 * RATE }, (__, i) => sample(i));
  expect(verdict(hear(samples, RATE, loop), 80)).toBeNull();
});

test.each([
  [0, 0.75, 'clean'],
  [0.14, 0.75, 'clean'],
  [0.2, 0.75, 'rough'],
  [0.4, 0.75, 'rough'],
  [0.5, 0.75, 'missed'],
  [0.2, 2, 'clean'],
])('late by %s s of a beat of %s s is %s', (late, beat, said) => {
  expect(judged(late, beat)).toBe(said);
});

test.each([
  [0.02, 'clean', null],
  [0.3, 'rough', 0.5],
  [0.7, 'missed', 0.5],
])('a hand that is always late by %s s is %s', (late, result, seconds) => {
  const beat = 1;
  const strokes = Array.from({ length: 24 }, (_, i) => ({
    at: 0.5 + i * beat + (i % 4 === 0 && i > 0 ? late : 0),
    chord: Math.floor(i / 4) % 2 === 0 ? ('from' as const) : ('to' as const),
  }));
  const proposal = verdict({ strokes, leftBefore: (_, after) => after - 0.5 }, 60);
  expect(proposal?.result).toBe(result);
  expect(proposal?.seconds).toBe(seconds);
  expect(proposal?.changes).toHaveLength(5);
});

test('a sound as a file has its header and its samples', async () => {
  const file = wav(new Float32Array([0, 1, -1, 2]), RATE);
  const data = new DataView(await file.arrayBuffer());
  expect(data.byteLength).toBe(44 + 8);
  expect(String.fromCharCode(...new Uint8Array(data.buffer, 0, 4))).toBe('RIFF');
  expect(data.getUint32(24, true)).toBe(RATE);
  expect([0, 2, 4, 6].map((at) => data.getInt16(44 + at, true))).toEqual([0, 32767, -32767, 32767]);
});

test('the chords of a drill sound as they are gripped on its strings', () => {
  const drill = {
    from: { frets: [null, 3, 2, 0, 1, 0] },
    to: { frets: [null, 0, 2, 2, 1, 0] },
    openStrings: STANDARD.map((midi) => midi + 2),
  } as unknown as PlannedDrill;
  const loop = loopOf(drill, 90);
  expect(loop?.from.map((s) => s.midi)).toEqual([50, 54, 57, 62, 66]);
  expect(loop?.to.map((s) => s.isOpen)).toEqual([true, false, false, false, true]);
  expect(loopOf({ ...drill, to: null }, 90)).toBeNull();
});
