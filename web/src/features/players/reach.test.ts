import { describe, expect, test } from 'vitest';
import { reachFret, withComfortable, withWidest } from './reach';

test('a reach in mm finds the fret that is nearest', () => {
  const reaches = [
    { fret: 3, mm: 70 },
    { fret: 4, mm: 100 },
    { fret: 5, mm: 128 },
  ];
  expect([10, 84, 86, 128, 400].map((mm) => reachFret(reaches, mm))).toEqual([3, 3, 4, 5, 5]);
  expect(reachFret([], 100)).toBeUndefined();
});

describe('a pair of fingers', () => {
  test('never reaches less at most than at ease', () => {
    const wide = withComfortable('1-2', { fingers: '1-2', comfortableMm: 40, widestMm: 50 }, 60);
    expect(wide).toEqual({ fingers: '1-2', comfortableMm: 60, widestMm: 60 });
    const narrow = withWidest('1-2', wide, 45);
    expect(narrow).toEqual({ fingers: '1-2', comfortableMm: 45, widestMm: 45 });
    expect(withComfortable('2-3', undefined, 40).widestMm).toBeGreaterThan(40);
  });
});
