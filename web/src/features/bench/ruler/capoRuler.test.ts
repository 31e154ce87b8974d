import { expect, test } from 'vitest';
import type { CapoCandidate } from '../../../api/client';
import { NECK } from '../../../testNeck';
import { RULER, fretX, slots } from './capoRuler';

const candidate = (capo: number, total: number, barres = 0, needed = 0.5): CapoCandidate => ({
  capo,
  total,
  barres,
  beyond: 0,
  worstChange: { from: 0, to: 1, neededSeconds: needed, availableSeconds: 0.65, widestMm: 40 },
  reasons: [],
});

test('frets lie to true scale: the fifth at a quarter of the string, where the twelfth is at half', () => {
  const length = (fret: number) => fretX(NECK, fret, 12) - RULER.left;
  expect(length(12) / length(5)).toBeCloseTo(0.5 / (1 - 2 ** (-5 / 12)), 6);
});

test('columns stand in their fret, the highest for the most effort', () => {
  const [open, first, second] = slots(NECK, [
    candidate(0, 10),
    candidate(1, 40, 9),
    candidate(2, 20, 0, 0.9),
  ]);
  expect(open?.middle).toBeLessThan(RULER.left);
  expect(first?.height).toBe(RULER.tallest);
  expect(second?.height).toBe(RULER.tallest / 2);
  expect(first?.ticks).toBe(5);
  expect(first?.late).toBe(false);
  expect(second?.late).toBe(true);
  expect(first?.middle).toBeGreaterThan(first?.from ?? 0);
  expect(first?.to).toBe(second?.from);
});

test('a song without effort is drawn flat', () => {
  expect(slots(NECK, [candidate(0, 0)])[0]?.height).toBe(0);
});
