import { expect, test } from 'vitest';
import type { Grip } from '../api/client';
import { actWords, moveWords, overlapWords, priceWords, timeWords, textureName } from './words';

const grip = (strings: number, ...holds: [finger: string, fret: number, from: number, to?: number][]) =>
  ({
    frets: Array.from({ length: strings }, () => 0),
    holds: holds.map(([finger, fret, from, to = from]) => ({ finger, fret, from, to })),
  }) as unknown as Grip;
const G = grip(6, ['3', 3, 0], ['2', 2, 1], ['4', 3, 5]);
const C = grip(6, ['3', 3, 1], ['2', 2, 2], ['1', 1, 4]);

test.each([
  [{ finger: '3', act: 'travels', distanceMm: 7.4 }, 'travels to string 5, fret 3, 7 mm'],
  [{ finger: '1', act: 'lands', distanceMm: 20 }, 'lands on string 2, fret 1'],
  [{ finger: '4', act: 'lifts', distanceMm: 0 }, 'lifts off string 1, fret 3'],
  [{ finger: '2', act: 'stays', distanceMm: 0 }, 'stays on string 4, fret 2'],
])('%o is said plainly', (act, words) => {
  expect(actWords(act, G, C)).toBe(words);
});

test('a barre names its strings', () => {
  const f = grip(6, ['1', 1, 0, 5], ['3', 3, 1], ['4', 3, 2], ['2', 2, 3]);
  expect(actWords({ finger: '1', act: 'lands', distanceMm: 1 }, C, f)).toBe('lands on strings 6–1, fret 1');
});

test.each([
  [0.3, 'fits'],
  [0.61, 'tight'],
  [0.66, 'late'],
])('%s seconds out of 0.65 is %s', (needed, verdict) => {
  expect(timeWords({ neededSeconds: needed, availableSeconds: 0.65 }).verdict).toBe(verdict);
});

test('prices carry their sign, moves their direction', () => {
  expect(priceWords(-0.25)).toBe('−0.3');
  expect(priceWords(2)).toBe('+2.0');
  expect(moveWords(-2)).toBe('2 semitones down');
  expect(moveWords(1)).toBe('1 semitone up');
  expect(moveWords(0)).toBe('as written');
});

test('two guitars are told apart in figures', () => {
  const words = overlapWords({ sharedPlaces: 0, sharedPitches: 0.25, registerSemitones: 7.4 });
  expect(words).toBe(
    "0 % of its notes on the first one's strings and frets, 25 % at the same pitch, 7 semitones higher",
  );
  expect(overlapWords({ sharedPlaces: 0, sharedPitches: 0, registerSemitones: -0.2 })).toContain(
    'same register',
  );
});

test('textures are called as players call them', () => {
  expect(textureName('triads')).toBe('top strings');
  expect(textureName('comping')).toBe('comping');
});
