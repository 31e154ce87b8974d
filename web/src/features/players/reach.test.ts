import { expect, test } from 'vitest';
import { REACHABLE, reachFret, reachMm } from './reach';

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
