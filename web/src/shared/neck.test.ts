import { describe, expect, test } from 'vitest';
import {
  fretX,
  movedWords,
  readShape,
  SHOWN,
  shapeText,
  stopX,
  stringY,
  touched,
  typed,
  type Neck,
} from './neck';

const neck: Neck = { strings: 6, nut: 60, width: 900, top: 20, gap: 24, leftHanded: false };

test('frets get narrower by the twelfth root of two', () => {
  const widths = Array.from({ length: SHOWN }, (_, i) => fretX(neck, i + 1) - fretX(neck, i));
  for (let i = 1; i < widths.length; i++) {
    expect((widths[i] ?? 0) / (widths[i - 1] ?? 1)).toBeCloseTo(2 ** (-1 / 12), 9);
  }
  expect(fretX(neck, SHOWN)).toBeCloseTo(960, 9);
});

test('a left-handed neck is the same the other way round', () => {
  const left = { ...neck, leftHanded: true };
  for (let fret = 0; fret <= SHOWN; fret++) {
    expect(fretX(neck, fret) + fretX(left, fret)).toBeCloseTo(2 * 60 + 900, 9);
    expect(stopX(neck, fret) + stopX(left, fret)).toBeCloseTo(2 * 60 + 900, 9);
  }
});

test('the lowest string is at the foot', () => {
  expect(stringY(neck, 0)).toBeGreaterThan(stringY(neck, 5));
});

describe('shapes as text', () => {
  test.each([
    ['x32010', [null, 3, 2, 0, 1, 0]],
    ['8-x-7-9-10-x', [8, null, 7, 9, 10, null]],
  ])('%s is read and written', (text, frets) => {
    expect(readShape(text, 6)).toEqual(frets);
    expect(shapeText(frets)).toBe(text);
  });

  test.each(['x3201', 'x3201y', '', '1-2-3-4-5-123'])('%s is none', (text) => {
    expect(readShape(text, 6)).toBeNull();
  });
});

test('a touch puts a finger down, and the same touch lifts it', () => {
  const one = touched([null, 3, 2, 0, 1, 0], 3, 2);
  expect(one).toEqual([null, 3, 2, 2, 1, 0]);
  expect(touched(one, 3, 2)).toEqual([null, 3, 2, 0, 1, 0]);
  expect(touched([0, 0, 0, 0, 0, 0], 0, 0)).toEqual([null, 0, 0, 0, 0, 0]);
});

test('two digits make a fret past the ninth', () => {
  expect(typed(null, 1, false)).toBe(1);
  expect(typed(1, 2, true)).toBe(12);
  expect(typed(1, 2, false)).toBe(2);
  expect(typed(3, 2, true)).toBe(2);
});

test('what moved is said in words', () => {
  expect(
    movedWords([
      { string: 3, from: 0, to: 2 },
      { string: 1, from: null, to: 0 },
    ]),
  ).toBe('string 3: open to fret 2, string 1: silent to open');
});
