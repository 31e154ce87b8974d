import { describe, expect, test } from 'vitest';
import type { HeardNote, Part } from '../../api/client';
import { hertzOf, pluck, type Timbre } from './strings';
import {
  beatOf,
  clicks,
  clockAt,
  countedTogether,
  countIn,
  panOf,
  placeAt,
  strokes,
  stretchOf,
  timbreOf,
} from './schedule';

const RATE = 44_100;

/** Frequency by the strongest autocorrelation around an expected period. */
function heard(samples: Float32Array, sampleRate: number, expected: number): number {
  const from = 4000;
  const length = 6000;
  let best = 0;
  let lag = 0;
  const correlate = (by: number) => {
    let sum = 0;
    for (let i = from; i < from + length; i++) {
      sum += (samples[i] ?? 0) * (samples[i + by] ?? 0);
    }
    return sum;
  };
  const period = sampleRate / expected;
  for (let by = Math.floor(period * 0.9); by <= Math.ceil(period * 1.1); by++) {
    const sum = correlate(by);
    if (sum > best) {
      best = sum;
      lag = by;
    }
  }
  // Between the samples, where a parabola through three of them has its top.
  const [a, b, c] = [correlate(lag - 1), correlate(lag), correlate(lag + 1)];
  return sampleRate / (lag + (a - c) / (2 * (a - 2 * b + c)));
}

/** Energy of the differences of a sound beside its own: the brighter, the more. */
function brightness(samples: Float32Array): number {
  let sharp = 0;
  let all = 0;
  for (let i = 1; i < samples.length; i++) {
    sharp += ((samples[i] ?? 0) - (samples[i - 1] ?? 0)) ** 2;
    all += (samples[i] ?? 0) ** 2;
  }
  return sharp / all;
}

const struck = (midi: number, timbre: Timbre) => pluck({ hertz: hertzOf(midi), sampleRate: RATE, timbre });
const loudness = (samples: Float32Array) =>
  Math.sqrt(samples.reduce((sum, x) => sum + x * x, 0) / samples.length);
const early = (samples: Float32Array) => samples.slice(0, 0.1 * RATE);

describe('a plucked string', () => {
  test.each([40, 45, 50, 55, 59, 64, 76])('is in tune at MIDI %i within 6 cents', (midi) => {
    const hertz = hertzOf(midi);
    for (const timbre of ['loud', 'soft'] as const) {
      expect(Math.abs(1200 * Math.log2(heard(struck(midi, timbre), RATE, hertz) / hertz))).toBeLessThan(6);
    }
  });

  test.each([40, 52, 64])('at MIDI %i is dark under the hand, brighter when it is struck hard', (midi) => {
    const [palm, soft, loud] = (['palm', 'soft', 'loud'] as const).map((t) =>
      brightness(early(struck(midi, t))),
    );
    expect(palm).toBeLessThan(0.6 * (soft ?? 0));
    expect(soft).toBeLessThan(0.8 * (loud ?? 0));
  });

  test('under the hand lasts about half a second, damped a tick', () => {
    const left = (timbre: Timbre, at: number) => {
      const samples = struck(45, timbre);
      return loudness(samples.slice(at * RATE, (at + 0.05) * RATE)) / loudness(early(samples));
    };
    expect(left('palm', 0.1)).toBeGreaterThan(0.2);
    expect(left('palm', 0.5)).toBeLessThan(0.1);
    expect(left('loud', 1)).toBeGreaterThan(0.2);
    expect(struck(45, 'dead').length).toBeLessThan(0.15 * RATE);
  });

  test('loses the partials of a bass string within two seconds', () => {
    const samples = struck(40, 'loud');
    expect(brightness(samples.slice(1.5 * RATE, 2 * RATE))).toBeLessThan(
      0.2 * brightness(samples.slice(0, 0.2 * RATE)),
    );
  });

  test('has no offset, and no two strings have the same noise', () => {
    const samples = struck(50, 'loud');
    const mean = samples.reduce((sum, x) => sum + x, 0) / samples.length;
    expect(Math.abs(mean)).toBeLessThan(1e-3);
    expect([...struck(50, 'loud').slice(0, 40)]).toEqual([...samples.slice(0, 40)]);
    expect([...struck(51, 'loud').slice(0, 40)]).not.toEqual([...samples.slice(0, 40)]);
  });

  test('is as loud on every string', () => {
    const levels = [40, 45, 52, 64, 76].map((midi) => loudness(struck(midi, 'loud').slice(0, 0.2 * RATE)));
    expect(Math.max(...levels) / Math.min(...levels)).toBeLessThan(1.1);
  });
});

const note = (place: number, beat: number, more: Partial<HeardNote> = {}): HeardNote => ({
  place,
  beat,
  seconds: 0,
  beats: 1,
  string: 0,
  midi: 40,
  from: null,
  loudness: 0.7,
  manner: 'plucked',
  ...more,
});
const part = {
  beats: 7,
  bars: [
    { number: 1, from: 0, beats: 4, metre: '4/4' },
    { number: 2, from: 4, beats: 3, metre: '3/4' },
  ],
  heard: [
    note(0, 0),
    note(0, 0, { midi: 47, seconds: 0.01 }),
    note(0, 2),
    note(1, 4),
    note(2, 6, { manner: 'cut' }),
  ],
} as unknown as Part;

describe('what is sounded', () => {
  const all = strokes(part);

  test('is one stroke where strings are struck together', () => {
    expect(all.map((s) => [s.beat, s.notes.length])).toEqual([
      [0, 2],
      [2, 1],
      [4, 1],
      [6, 1],
    ]);
  });

  test('sounds as it is struck', () => {
    expect(timbreOf(note(0, 0))).toBe('loud');
    expect(timbreOf(note(0, 0, { loudness: 0.5 }))).toBe('soft');
    expect(timbreOf(note(0, 0, { manner: 'left-hand' }))).toBe('soft');
    expect(timbreOf(note(0, 0, { manner: 'palm-muted' }))).toBe('palm');
    expect(timbreOf(note(0, 0, { manner: 'dead' }))).toBe('dead');
  });

  test('finds bars, places and the stretch of a loop', () => {
    expect(clockAt(part, 5.2)).toEqual({ bar: 2, beat: 2 });
    expect(placeAt(all, 5)).toBe(1);
    expect(placeAt(all, -1)).toBeNull();
    expect(beatOf(all, 2)).toBe(6);
    expect(beatOf(all, 9)).toBeNull();
    expect(stretchOf(part, { from: 2, to: 2 })).toEqual({ from: 4, to: 7 });
    expect(stretchOf(part, null)).toEqual({ from: 0, to: 7 });
  });

  test('is clicked a beat at a time, the first of a bar marked', () => {
    expect(
      clicks(part)
        .filter((c) => c.first)
        .map((c) => c.beat),
    ).toEqual([0, 4]);
    expect(clicks(part)).toHaveLength(7);
  });
});

test.each([
  ['4/4', [-4, -3, -2, -1]],
  ['3/4', [-3, -2, -1]],
  ['6/8', [-6, -3]],
  ['12/8', [-12, -9, -6, -3]],
  ['2/4', [-2, -1]],
])('a bar of %s is counted as it is felt', (metre, beats) => {
  const song = { ...part, bars: [{ ...part.bars[0], metre }] } as Part;
  expect(countIn(song, 0).map((c) => c.beat)).toEqual(beats);
  expect(countIn(song, 0).map((c) => c.first)).toEqual(beats.map((_, i) => i === 0));
});

test('three eighths are counted together, three quarters are not', () => {
  expect(countedTogether('9/8')).toBe(3);
  expect(countedTogether('3/4')).toBe(1);
  expect(countedTogether('7/8')).toBe(1);
});

test('two guitars stand apart, one in the middle', () => {
  expect(panOf(0, 1)).toBe(0);
  expect(panOf(0, 2)).toBeLessThan(0);
  expect(panOf(1, 2)).toBeGreaterThan(0);
});
