import { describe, expect, test } from 'vitest';
import { REACHABLE, reachFret, reachMm, withComfortable, withWidest } from './reach';

test('reach grows with the fret, less and less, as frets grow narrower', () => {
  const steps = REACHABLE.slice(1).map((fret) => reachMm(fret) - reachMm(fret - 1));
  expect(steps.every((step) => step > 0)).toBe(true);
  expect([...steps].sort((a, b) => b - a)).toEqual(steps);
});

test('a reach in mm finds its fret again', () => {
  for (const fret of REACHABLE) {
    expect(reachFret(reachMm(fret))).toBe(fret);
  }
  // Equal temperament at 648 mm: fingertips at frets 1 and 5 are 128 mm apart.
  expect(reachMm(5)).toBe(128);
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
