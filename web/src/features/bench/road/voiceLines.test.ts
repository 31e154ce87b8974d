import { describe, expect, it } from 'vitest';
import type { Change, Voice } from '../../../api/client';
import { pitchY, spanOf, voiceLines } from './voiceLines';

const HEIGHT = 190;
const NOTHING = { top: false, lines: new Set<number>() };

function change(from: number, ...voices: [string, string, number][]): Change {
  return {
    from,
    to: from + 1,
    voices: voices.map(([a, b, semitones], i): Voice => ({ string: i + 1, from: a, to: b, semitones })),
  } as unknown as Change;
}

const CHANGES = [
  change(0, ['C5', 'C5', 0], ['G4', 'A4', 2], ['E4', 'F4', 1]),
  change(1, ['C5', 'B4', -1], ['A4', 'G4', -2], ['F4', 'F4', 0]),
];

describe('the voices over the road', () => {
  const span = spanOf(CHANGES);

  it('reaches over every note, and an octave at least', () => {
    expect(span).toEqual({ low: 62, high: 74 });
    expect(spanOf([change(0, ['E2', 'E2', 0], ['E5', 'F5', 1])])).toEqual({ low: 40, high: 77 });
  });

  it('draws half steps all alike, higher notes higher', () => {
    const steps = ['C4', 'C#4', 'D4', 'Eb4', 'E4'].map((pitch) => pitchY(span, HEIGHT, pitch));
    steps.slice(1).forEach((y, i) => expect((steps[i] ?? 0) - y).toBeCloseTo(162 / 12));
    expect(pitchY(span, HEIGHT, 'F#4')).toBeCloseTo(pitchY(span, HEIGHT, 'Gb4'));
  });

  it('is level where a voice keeps its note, and says how it moves', () => {
    const lines = voiceLines(CHANGES, span, 100, HEIGHT, NOTHING);
    expect(lines.map(({ kind }) => kind)).toEqual(['keeps', 'moves', 'half', 'half', 'moves', 'keeps']);
    lines.forEach(({ kind, y1, y2 }) => expect(y1 === y2).toBe(kind === 'keeps'));
    expect([lines[3]?.x1, lines[3]?.x2]).toEqual([150, 250]);
  });

  it('marks what the player asked for: the highest voice, or the one of a line that moves', () => {
    const asked = (lines: Set<number>, top: boolean) =>
      voiceLines(CHANGES, span, 100, HEIGHT, { top, lines }).map((line) => line.asked);
    expect(asked(new Set(), true)).toEqual([true, false, false, true, false, false]);
    expect(asked(new Set([1]), false)).toEqual([false, false, false, true, true, false]);
  });

  it('names every note of a place once', () => {
    const lines = voiceLines(CHANGES, span, 100, HEIGHT, NOTHING);
    const named = lines.flatMap(({ from, to }) => [from, to]).filter((pitch) => pitch !== null);
    expect(named.sort()).toEqual(['A4', 'B4', 'C5', 'C5', 'E4', 'F4', 'F4', 'G4', 'G4']);
  });
});
