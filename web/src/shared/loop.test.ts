import { describe, expect, test } from 'vitest';
import type { Arrangement } from '../api/client';
import { barColumns, loopOf, loopTempo, sectionLoop } from './loop';

const song = {
  tempo: 100,
  placements: [
    { index: 0, bar: 1, section: 'Verse' },
    { index: 1, bar: 1, section: 'Verse' },
    { index: 2, bar: 2, section: 'Verse' },
    { index: 3, bar: 3, section: 'Chorus' },
  ],
  changes: [
    { from: 0, to: 1, holdsUpTo: 200 },
    { from: 1, to: 2, holdsUpTo: 100 },
    { from: 2, to: 3, holdsUpTo: 50 },
  ],
} as Arrangement;

describe('loops', () => {
  test('run from the lower to the higher bar', () => {
    expect(loopOf(4, 2)).toEqual({ from: 2, to: 4 });
  });

  test('a section is all its bars in a row', () => {
    expect(sectionLoop(song, 2)).toEqual({ from: 1, to: 2 });
    expect(sectionLoop(song, 3)).toEqual({ from: 3, to: 3 });
  });

  test('hold up to the tempo of their tightest change, leaving the others out', () => {
    expect(loopTempo(song, { from: 1, to: 1 })).toBe(200);
    expect(loopTempo(song, { from: 1, to: 2 })).toBe(100);
    expect(loopTempo(song, { from: 1, to: 3 })).toBe(50);
    expect(loopTempo(song, { from: 3, to: 3 })).toBeNull();
  });

  test('a bar is as wide as its chords', () => {
    expect(barColumns(song).map((b) => b.count)).toEqual([2, 1, 1]);
  });
});
