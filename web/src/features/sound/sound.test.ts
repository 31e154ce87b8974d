import { describe, expect, test } from 'vitest';
import type { Part, PartEvent } from '../../api/client';
import { hertzOf, pluck } from './pluck';
import { clicks, clockAt, panOf, placeAt, soundings, stretchOf } from './schedule';

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

describe('a plucked string', () => {
  test.each([40, 45, 50, 55, 59, 64, 76])('is in tune at MIDI %i within 6 cents', (midi) => {
    const hertz = hertzOf(midi);
    const samples = pluck({ hertz, seconds: 1, sampleRate: 44_100, damped: 0 });
    expect(Math.abs(1200 * Math.log2(heard(samples, 44_100, hertz) / hertz))).toBeLessThan(6);
  });

  test('dies away sooner when it is damped', () => {
    const energy = (damped: number) =>
      pluck({ hertz: 196, seconds: 1, sampleRate: 44_100, damped })
        .slice(20_000, 30_000)
        .reduce((sum, x) => sum + x * x, 0);
    expect(energy(1)).toBeLessThan(energy(0) / 20);
  });
});

const event = (place: number, beat: number, more: Partial<PartEvent> = {}): PartEvent => ({
  place,
  beat,
  values: [],
  strum: null,
  weight: 'normal',
  sound: 'ring',
  fill: false,
  chord: null,
  notes: [40, 47].map((midi, string) => ({
    string,
    fret: 0,
    midi,
    written: 'E2',
    left: null,
    fingered: false,
    right: null,
    technique: 'plucked',
    ring: 1,
  })),
  ...more,
});
const part = {
  beats: 7,
  bars: [
    { number: 1, from: 0, beats: 4, events: [event(0, 0), event(0, 2, { strum: 'up' })] },
    {
      number: 2,
      from: 4,
      beats: 3,
      events: [event(1, 4, { weight: 'ghost' }), event(2, 6, { sound: 'cut' })],
    },
  ],
} as unknown as Part;

describe('what is sounded', () => {
  const notes = soundings(part);

  test('keeps the order of a strum', () => {
    expect(notes.slice(2, 4).map((n) => [n.midi, n.after])).toEqual([
      [47, 0],
      [40, 1],
    ]);
  });

  test('knows ghosts and stopped notes', () => {
    expect(notes.map((n) => n.kind)).toEqual([
      'ring',
      'ring',
      'ring',
      'ring',
      'ghost',
      'ghost',
      'muted',
      'muted',
    ]);
  });

  test('finds bars, places and the stretch of a loop', () => {
    expect(clockAt(part, 5.2)).toEqual({ bar: 2, beat: 2 });
    expect(placeAt(notes, 5)).toBe(1);
    expect(placeAt(notes, -1)).toBeNull();
    expect(stretchOf(part, { from: 2, to: 2 })).toEqual({ from: 4, to: 7 });
    expect(stretchOf(part, null)).toEqual({ from: 0, to: 7 });
    expect(
      clicks(part)
        .filter((c) => c.first)
        .map((c) => c.beat),
    ).toEqual([0, 4]);
    expect(clicks(part)).toHaveLength(7);
  });
});

test('two guitars stand apart, one in the middle', () => {
  expect(panOf(0, 1)).toBe(0);
  expect(panOf(0, 2)).toBeLessThan(0);
  expect(panOf(1, 2)).toBeGreaterThan(0);
});
